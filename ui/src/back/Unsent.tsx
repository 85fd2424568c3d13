import { useMutation, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { dropEntry, keepEntry, type Waiting } from '../device/entries';
import { usePost } from '../device/post';
import { useWaiting } from '../device/useWaiting';
import { isBlank, useEntry } from '../entry/entry';
import { Fault } from '../frame/Fault';
import { useUndo } from '../frame/useUndo';
import { clock, dayOfYear } from '../format/time';
import './unsent.css';
import { back as say } from '../words/back';
import { entry as entrySay } from '../words/entry';

/** What was written with no signal and is not in the log yet: it waits, or was refused. */
export function Unsent() {
  const waiting = useWaiting();
  const { sendNow } = usePost();
  if (waiting.length === 0) return null;
  return (
    <section className="unsent" aria-label={say.unsent.title}>
      <div className="unsent-head">
        <h2>{say.unsent.title}</h2>
        {waiting.some((e) => !e.refused) && (
          <button className="plain" onClick={sendNow}>
            {say.unsent.sendNow}
          </button>
        )}
      </div>
      <ul className="panel">
        {waiting.map((e) => (
          <Row key={e.id} e={e} />
        ))}
      </ul>
    </section>
  );
}

/** One that was refused, as it is to be sent again: over what was changed elsewhere, where that was against it. */
function anew(e: Waiting): Waiting {
  const { refused: _, ...clean } = e;
  if (clean.kind !== 'spell' || !clean.over) return clean;
  const { over, ...rest } = clean;
  return { ...rest, body: over };
}

function Row({ e }: { e: Waiting }) {
  const entry = useEntry();
  const undo = useUndo();
  const { sendNow } = usePost();
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const name = (id: string) => targets.data?.find((t) => t.id === id)?.name_in_sentence ?? id;
  const from = e.kind === 'sighting' ? e.body.seen_at : e.body.started_at;
  const what = () => {
    if (e.kind === 'sighting') return say.sightings.signs(e.body.signs);
    if (e.kind === 'block') return say.unsent.block;
    const sought = name(e.body.target);
    if (e.body.revision) return say.unsent.changeOf(sought);
    if (isBlank(e.body)) return `${say.blank} ${say.forWord(sought)}`;
    return say.unsent.fish(e.body.catches!.length, name(e.body.catches![0]!.target ?? e.body.target));
  };
  const over = e.kind === 'spell' && e.over;
  const drop = useMutation({
    mutationFn: () => dropEntry(e.id),
    onSuccess: () => undo(say.unsent.the, () => keepEntry(e)),
  });
  const again = useMutation({
    mutationFn: async () => {
      await keepEntry(anew(e));
      sendNow();
    },
  });
  return (
    <li className="unsent-row">
      <span className="unsent-when quiet">
        {dayOfYear(from, e.zone)} {clock(from, e.zone)}
      </span>
      <b className="unsent-what">{what()}</b>
      <span className="unsent-where">{e.spot}</span>
      <span className="form-acts">
        {e.refused && (
          <Button size="small" loading={again.isPending} onClick={() => again.mutate()}>
            {over ? entrySay.writeMine : say.unsent.again}
          </Button>
        )}
        {e.kind === 'spell' && (
          <Button
            size="small"
            onClick={() => entry.open({ kind: isBlank(e.body) ? 'blank' : 'catch', waiting: e })}
          >
            {say.change}
          </Button>
        )}
        <Button size="small" loading={drop.isPending} onClick={() => drop.mutate()}>
          {say.unsent.drop}
        </Button>
      </span>
      <div className="unsent-why">
        {e.refused && (
          <p className="caution" role="alert">
            {over ? e.refused : say.unsent.refused(e.refused)}
          </p>
        )}
        <Fault of={[drop, again]} />
      </div>
    </li>
  );
}
