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
      void message.success('The station is kept. Choose above which water follows it.');
      setOpen(false);
      setName('');
    },
  });
  if (main.length === 0) return null;
  if (!open)
    return (
      <div className="secondary">
        <Button onClick={() => setOpen(true)}>Add a secondary place</Button>
        <span className="quiet small"> one that follows another station, later and higher or lower</span>
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
        <span>Name of the place</span>
        <Input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
      </label>
      <label>
        <span>Follows</span>
        <Select
          aria-label="Follows"
          value={reference ?? main[0]?.id}
          onChange={setReference}
          options={main.map((s) => ({ value: s.id, label: s.name }))}
        />
      </label>
      <label>
        <span>Where its figures come from</span>
        <Input
          value={source}
          maxLength={200}
          placeholder="table and year"
          onChange={(e) => setSource(e.target.value)}
        />
      </label>
      <OffsetFields value={text} onChange={setText} />
      <Fault of={[put]} />
      <Button type="primary" htmlType="submit" disabled={!ready} loading={put.isPending}>
        Keep the place
      </Button>
      <Button
        onClick={() =>
          leave(() => {
            setOpen(false);
            setName('');
          })
        }
      >
        Leave it
      </Button>
    </form>
  );
}
