import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { api, type Schemas } from '../api/client';
import { useInvalidate } from '../api/keys';
import { owner } from '../device/device';
import { sendOrKeep } from '../device/outbox';
import { usePost } from '../device/post';
import { Fault } from '../frame/Fault';
import { useUndo } from '../frame/useUndo';
import { clock } from '../format/time';
import { metres } from '../format/measure';
import { usePlace } from '../moment/moment';
import './sightings.css';
import { back as say } from '../words/back';

export type Sighting = Schemas['SightingOut'];

const asked = (spot?: string) => ({
  queryKey: ['sightings', spot],
  queryFn: () => api.sightings(spot ? { spot_id: spot, most: 1000 } : { most: 1000 }),
});

/** What was seen without fishing, at a spot or anywhere, newest first. */
export function useSightings(spot: string | undefined): Sighting[] {
  return useQuery(asked(spot)).data?.sightings ?? [];
}

/** The way to write down what was seen. */
export function WriteSighting({ spot }: { spot?: string }) {
  const [writing, write] = useState(false);
  const list = useQuery(asked(spot));
  return (
    <section className="sightings" aria-label={say.sightings.title}>
      {!writing && (
        <button className="plain" onClick={() => write(true)}>
          {say.sightings.write}
        </button>
      )}
      <Fault of={[list]} />
      {writing && list.data && (
        <Form kinds={list.data.kinds} {...(spot ? { spot } : {})} onDone={() => write(false)} />
      )}
    </section>
  );
}

/** One of them among the spells of its day. */
export function SeenRow({ g }: { g: Sighting }) {
  const invalidate = useInvalidate();
  const undo = useUndo();
  const follow = () => invalidate('sightings');
  const remove = useMutation({
    mutationFn: () => api.deleteSighting(g.id),
    onSuccess: () => {
      void follow();
      undo(say.sightings.the, () =>
        api
          .putSighting(g.id, {
            spot_id: g.spot_id,
            seen_at: g.seen_at,
            signs: g.signs,
            note: g.note ?? '',
            mark: g.mark ?? '',
            target: g.target ?? '',
          })
          .then(follow),
      );
    },
  });
  return (
    <li className="sighting">
      <svg className="sighting-eye" width="30" height="24" viewBox="0 0 30 24" role="img">
        <title>{say.sightings.title}</title>
        <path d="M3 12c6-8 18-8 24 0-6 8-18 8-24 0z" />
        <circle cx="15" cy="12" r="3.4" />
      </svg>
      <span className="sighting-when">{clock(g.seen_at, g.time_zone)}</span>
      <span className="sighting-what">
        <b>{say.sightings.signs(g.signs)}</b>
        {g.note && <span className="quiet"> {g.note}</span>}
      </span>
      <span className="sighting-where">
        {g.spot_name}
        {g.mark ? `, ${g.mark.toLowerCase()}` : ''}
      </span>
      <span className="sighting-tide">
        {g.tide_stage} <span className="quiet">{metres(g.tide_level_m)}</span>
      </span>
      <button className="plain small" onClick={() => remove.mutate()}>
        {say.remove}
      </button>
      <Fault of={[remove]} />
    </li>
  );
}

function Form(props: { kinds: readonly string[]; spot?: string; onDone: () => void }) {
  const here = usePlace();
  const invalidate = useInvalidate();
  const [spot, setSpot] = useState(props.spot ?? here.spot?.id);
  const [signs, setSigns] = useState<string[]>([]);
  const [note, setNote] = useState('');
  const [ago, setAgo] = useState(0);
  const { sendNow } = usePost();
  const { message } = App.useApp();
  // Made once, so that sending again after a lost answer writes nothing twice.
  const [id] = useState(() => v7());
  const save = useMutation({
    mutationFn: async () => {
      const body = {
        spot_id: spot!,
        seen_at: new Date(here.present().getTime() - ago * 60_000).toISOString(),
        signs,
        note: note.trim(),
      };
      const place = here.spots.find((s) => s.id === spot);
      return sendOrKeep({
        kind: 'sighting',
        id,
        owner: owner(),
        at: here.present().toISOString(),
        spot: place?.name ?? '',
        zone: place?.time_zone ?? 'UTC',
        body,
      });
    },
    onSuccess: async (sent) => {
      void message.open({
        type: 'success',
        key: 'logged',
        content: sent ? say.sightings.kept : say.sightings.waits,
      });
      if (sent) await invalidate('sightings');
      else sendNow();
      props.onDone();
    },
  });
  return (
    <form
      className="panel sighting-form"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <div className="sighting-where">
        <Select
          aria-label={say.spot}
          virtual={false}
          value={spot ?? null}
          onChange={(v: string) => setSpot(v)}
          options={here.spots.map((s) => ({ value: s.id, label: s.name }))}
        />
        <Select aria-label={say.sightings.when} value={ago} onChange={setAgo} options={say.sightings.ago} />
      </div>
      <fieldset>
        <legend>{say.sightings.what}</legend>
        <Checkbox.Group
          value={signs}
          onChange={(v) => setSigns(v as string[])}
          options={props.kinds.map((k) => ({ value: k, label: k }))}
        />
      </fieldset>
      <label>
        {say.sightings.note}
        <Input value={note} maxLength={1000} onChange={(e) => setNote(e.target.value)} />
      </label>
      <Fault of={[save]} />
      <div className="log-acts">
        <Button
          type="primary"
          htmlType="submit"
          disabled={!spot || signs.length === 0}
          loading={save.isPending}
        >
          {say.keepIt}
        </Button>
        <Button onClick={props.onDone}>{say.files.leave}</Button>
      </div>
    </form>
  );
}
