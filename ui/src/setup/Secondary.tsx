import { useLeaveGuard } from '../frame/unkept';
import { Fault } from '../frame/Fault';
import { useMutation } from '@tanstack/react-query';
import { App, Button, Input, Select } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { api, type Station } from '../api/client';
import { useInvalidate } from '../api/keys';
import { OffsetFields } from './OffsetFields';
import { plainOffsets, readOffsets, type OffsetsTyped } from './offsets';
import { tides as say } from '../words/tides';

/** A secondary station: lag and factor on one that has constituents. */
export function Secondary({ stations }: { stations: Station[] }) {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const main = stations.filter((s) => !s.reference_id);
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [source, setSource] = useState('');
  const [reference, setReference] = useState<string>();
  const [text, setText] = useState<OffsetsTyped>(plainOffsets);
  const offsets = readOffsets(text);
  const ready = name.trim() !== '' && source.trim() !== '' && !!offsets && !!(reference ?? main[0]?.id);
  const { letGo, leave } = useLeaveGuard(open && name !== '');
  const put = useMutation({
    mutationFn: () =>
      api.putStation(v7(), {
        name: name.trim(),
        source: source.trim(),
        reference_id: reference ?? main[0]!.id,
        offsets: offsets!,
      }),
    onSuccess: () => {
      letGo();
      void invalidate('tide');
      void message.success(say.theStationIsKeptChoose2);
      setOpen(false);
      setName('');
    },
  });
  if (main.length === 0) return null;
  if (!open)
    return (
      <div className="secondary">
        <Button onClick={() => setOpen(true)}>{say.addASecondaryPlace}</Button>
        <span className="quiet small"> {say.oneThatFollowsAnotherStation}</span>
      </div>
    );
  return (
    <form
      className="keep secondary"
      onSubmit={(e) => {
        e.preventDefault();
        if (ready) put.mutate();
      }}
    >
      <label>
        <span>{say.nameOfThePlace}</span>
        <Input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
      </label>
      <label>
        <span>{say.follows}</span>
        <Select
          aria-label={say.follows}
          value={reference ?? main[0]?.id}
          onChange={setReference}
          options={main.map((s) => ({ value: s.id, label: s.name }))}
        />
      </label>
      <label>
        <span>{say.whereItsFiguresComeFrom}</span>
        <Input
          value={source}
          maxLength={200}
          placeholder={say.tableAndYear}
          onChange={(e) => setSource(e.target.value)}
        />
      </label>
      <OffsetFields value={text} onChange={setText} />
      <Fault of={[put]} />
      <Button type="primary" htmlType="submit" disabled={!ready} loading={put.isPending}>
        {say.keepThePlace}
      </Button>
      <Button
        onClick={() =>
          leave(() => {
            setOpen(false);
            setName('');
          })
        }
      >
        {say.leaveIt}
      </Button>
    </form>
  );
}
