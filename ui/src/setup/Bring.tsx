import { Fault } from '../frame/Fault';
import { useMutation } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { api, type Station } from '../api/client';
import { useInvalidate } from '../api/keys';
import { metres } from '../format/measure';
import { ChooseFile } from '../file/ChooseFile';
import { tides as say } from '../words/tides';

/** A station from a file: what it holds is shown before it is kept. */
export function Bring({ onKept }: { onKept?: (station: Station) => void }) {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [file, setFile] = useState('');
  const [name, setName] = useState('');
  const read = useMutation({
    mutationFn: async (f: File) => api.readStation(await f.text()),
    onSuccess: (s) => setName(s.name || file.replace(/\.(csv|json)$/i, '')),
  });
  const keep = useMutation({
    mutationFn: () => {
      const s = read.data!;
      const source = s.source || say.from2(file);
      return api.putStation(v7(), {
        name: name.trim(),
        source: source.slice(0, 200),
        z0_m: s.z0_m,
        constituents: s.constituents,
      });
    },
    onSuccess: (kept) => {
      void invalidate('tide');
      if (onKept) onKept(kept);
      else void message.success(say.theStationIsKeptChoose2);
      read.reset();
    },
  });
  return (
    <div className="bring">
      <ChooseFile
        says={say.bringAStation}
        accept=".csv,.json,text/csv,application/json"
        fault={read.error ? `${file}: ${read.error.message}` : undefined}
        onFile={(f) => {
          setFile(f.name);
          read.mutate(f);
        }}
      />
      <span className="quiet small"> {say.constituentsAsJsonOrCsv}</span>
      {read.data && (
        <form
          className="keep"
          onSubmit={(e) => {
            e.preventDefault();
            if (name.trim()) keep.mutate();
          }}
        >
          <p>{say.constituentsMeanLevelAboveDatum(read.data.constituents.length, metres(read.data.z0_m))}</p>
          <label>
            <span>{say.nameOfTheStation}</span>
            <Input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
          </label>
          <Fault of={[keep]} />
          <Button type="primary" htmlType="submit" disabled={!name.trim()} loading={keep.isPending}>
            {say.keepTheStation}
          </Button>
        </form>
      )}
    </div>
  );
}
