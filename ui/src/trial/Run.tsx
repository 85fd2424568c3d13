import { useMutation } from '@tanstack/react-query';
import { Input } from 'antd';
import { useEffect, useState } from 'react';
import { v7 } from 'uuid';
import type { Block, Trial } from '../api/client';
import { useInvalidate } from '../api/keys';
import { owner } from '../device/device';
import { sendOrKeep } from '../device/outbox';
import { usePost } from '../device/post';
import { sound } from '../fish/alarm';
import type { Said } from '../fish/touch';
import { useOuting } from '../fish/useOuting';
import { usePlace } from '../moment/moment';
import { goOn, rest, restingSince } from './rest';
import { trial as say } from '../words/trial';

/** What is counted in a block, and what an outing in hand is told by it. */
const counters = [
  ['landed', 'landed'],
  ['on_teaser', 'landed'],
  ['lost', 'lost'],
  ['missed', 'missed'],
  ['foul', ''],
  ['set_apart', ''],
] as const;

/** The block in hand: which arm, how long still, what came; the next one when it is over. */
export function Run({ trial: t }: { trial: Trial }) {
  const { present, spots } = usePlace();
  const spot = spots.find((s) => s.id === t.design.spot_id);
  const { sendNow } = usePost();
  const invalidate = useInvalidate();
  const outing = useOuting();
  const [why, setWhy] = useState('');
  const [now, setNow] = useState(present);
  const block = t.blocks.find((b) => !b.ended_at);
  useEffect(() => {
    const timer = setInterval(() => setNow(present()), 1_000);
    return () => clearInterval(timer);
  }, [present]);
  const put = useMutation({
    mutationFn: ({ id, body }: { id: string; body: Partial<Block> }) => {
      const { id: _id, rod_hours: _hours, ...rest } = { ...block, ...body } as Block;
      return sendOrKeep({
        kind: 'block',
        id,
        trial: t.id,
        owner: owner(),
        at: present().toISOString(),
        spot: spot?.name ?? '',
        zone: spot?.time_zone ?? 'UTC',
        body: rest,
      });
    },
    onSuccess: (sent) => {
      if (!sent) sendNow();
    },
    onSettled: () => invalidate('trials'),
  });
  const resting = restingSince(block?.id);
  const over = block && leftOf(block, t, resting ?? now) <= 0;
  useEffect(() => {
    if (!over) return;
    sound();
    navigator.vibrate?.([300, 200, 300]);
  }, [over]);
  /** An outing in hand learns of it too, so that the log does. */
  const tell = (said: Said) => void outing.say(said);
  const arm = (name: string | undefined) => t.design.arms.find((a) => a.name === name);
  const begin = () => {
    const turn = t.next!;
    const { name: _name, ...way } = arm(turn.arm)!;
    put.mutate({
      id: v7(),
      body: { turn: turn.n, started_at: present().toISOString(), revision: 0 },
    });
    if (outing.kept)
      tell({
        kind: 'fish',
        doing: {
          spot_id: t.design.spot_id,
          target: t.design.target,
          rods: 1,
          ...(t.design.mark ? { mark: t.design.mark } : {}),
          ...way,
        },
      });
  };
  /** What it has rested so far, once it goes on. */
  const rested = () => {
    const s = goOn(block!.id, present());
    if (s > 0 && outing.kept) tell({ kind: 'resume' });
    return (block!.paused_s ?? 0) + s;
  };
  const end = (more: Partial<Block> = {}) => {
    put.mutate({
      id: block!.id,
      body: { paused_s: rested(), ended_at: present().toISOString(), ...more },
    });
    setWhy('');
  };
  const pause = () => {
    if (resting) return put.mutate({ id: block!.id, body: { paused_s: rested() } });
    rest(block!.id, present());
    if (outing.kept) tell({ kind: 'rest' });
    setNow(present());
  };
  if (!block)
    return t.next ? (
      <section className="panel trial-run">
        <p className="quiet">{say.block(t.next.n + 1, t.turns.length)}</p>
        <p className="trial-now">{t.next.arm}</p>
        {say.with(t.next) && <p>{say.with(t.next)}</p>}
        {put.error && <p role="alert">{put.error.message}</p>}
        <button className="act chosen" disabled={put.isPending} onClick={begin}>
          {say.begin}
        </button>
      </section>
    ) : (
      <p className="panel">{say.allFished}</p>
    );
  const left = leftOf(block, t, resting ?? now);
  return (
    <section className="panel trial-run">
      <p className="quiet">{say.block((block.turn ?? 0) + 1, t.turns.length)}</p>
      <p className="trial-now">{block.arm}</p>
      {left > 0 ? (
        <p className="trial-left" role="timer">
          {say.left(Math.floor(left / 60), Math.floor(left % 60))}
        </p>
      ) : (
        <p className="trial-left over" role="alert">
          {say.swap}
        </p>
      )}
      <div className="trial-counters">
        {counters.map(([key, kind]) => (
          <button
            key={key}
            disabled={
              put.isPending ||
              !!resting ||
              (key === 'foul' && (block.foul ?? 0) >= (block.landed ?? 0) + (block.lost ?? 0))
            }
            onClick={() => {
              put.mutate({ id: block.id, body: { [key]: (block[key] ?? 0) + 1 } });
              if (kind && outing.kept) tell({ kind });
            }}
          >
            <b>{block[key] ?? 0}</b> {say.counters[key]}
          </button>
        ))}
      </div>
      {put.error && <p role="alert">{put.error.message}</p>}
      <div className="trial-row">
        <button className="act chosen" disabled={put.isPending} onClick={() => end()}>
          {say.endBlock}
        </button>
        <button className="act" aria-pressed={!!resting} disabled={put.isPending} onClick={pause}>
          {resting ? say.goOn : say.rest}
        </button>
      </div>
      <details>
        <summary>{say.leaveOut}</summary>
        <div className="trial-row">
          <Input value={why} maxLength={200} placeholder={say.why} onChange={(e) => setWhy(e.target.value)} />
          <button
            className="act"
            disabled={!why.trim() || put.isPending}
            onClick={() => end({ dropped: why.trim() })}
          >
            {say.leaveItOut}
          </button>
        </div>
      </details>
    </section>
  );
}

/** Seconds of a block that are left. */
function leftOf(b: Block, t: Trial, now: Date): number {
  return t.design.block_min * 60 + (b.paused_s ?? 0) - (now.getTime() - Date.parse(b.started_at)) / 1000;
}
