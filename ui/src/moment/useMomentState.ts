import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { api } from '../api/client';
import { nearest, type Moment, type Place } from './moment';
import { typing } from './typing';

export const hours = 36;
const hour = 3600_000;
/** How much of the ribbon lies before a moment it is opened on. */
const before = 5 * hour;
export const tenMinutes = 600_000;
/** A turn is shown to the second, so one closer than that is the one we are on. */
const onTurn = 1500;

const key = 'greypebble.moment';

/**
 * The moment to come that was shown when this page was loaded last: a reload stays on it. It goes with the tab,
 * so that nobody who opens the program takes tomorrow for now.
 */
function kept(now: Date): number | undefined {
  const time = Number(sessionStorage.getItem(key));
  return time > now.getTime() && time < now.getTime() + 15 * 24 * hour ? time : undefined;
}

/** The ribbon of the chosen spot and the moment on it, moved by touch and by keys. */
export function useMomentState({ now, spot }: Place): { moment: Moment; from: number } {
  const [time, setTime] = useState(() => kept(now) ?? Math.round(now.getTime() / tenMinutes) * tenMinutes);
  const [from, setFrom] = useState(() => (kept(now) ?? now.getTime()) - before);
  useEffect(() => sessionStorage.setItem(key, String(time)), [time]);
  const query = useQuery({
    queryKey: ['ribbon', spot.id, from],
    queryFn: ({ signal }) => api.ribbon(spot.id, new Date(from).toISOString(), hours, signal),
    placeholderData: (previous, q) => (q?.queryKey[1] === spot.id ? keepPreviousData(previous) : undefined),
    staleTime: tenMinutes,
  });
  const ribbon = query.data;
  const index = useMemo(() => (ribbon ? nearest(ribbon.frames, time) : 0), [ribbon, time]);

  const moveTime = useCallback((t: Date) => {
    setTime(t.getTime());
    setFrom((f) => (t.getTime() < f || t.getTime() > f + hours * hour ? t.getTime() - before : f));
  }, []);
  const moveTo = useCallback(
    (i: number) => {
      const f = ribbon?.frames[i];
      if (f) setTime(Date.parse(f.time));
    },
    [ribbon],
  );
  const page = useCallback((h: number) => {
    setFrom((f) => f + h * hour);
    setTime((t) => t + h * hour);
  }, []);
  const step = useCallback(
    (n: number) => {
      if (!ribbon) return;
      const i = index + n;
      if (i < 0) page(-12);
      else if (i >= ribbon.frames.length) page(12);
      else moveTo(i);
    },
    [ribbon, index, moveTo, page],
  );
  const turn = useCallback(
    (direction: 1 | -1) => {
      const at = Date.parse(ribbon?.frames[index]?.time ?? '');
      const turns = ribbon?.turns.map((t) => Date.parse(t.time)) ?? [];
      const next =
        direction > 0 ? turns.find((t) => t > at + onTurn) : turns.filter((t) => t < at - onTurn).pop();
      if (next !== undefined) setTime(next);
      else page(12 * direction);
    },
    [ribbon, index, page],
  );

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (typing(e)) return;
      const act: Record<string, () => void> = {
        ',': () => step(-1),
        '.': () => step(1),
        '<': () => turn(-1),
        '>': () => turn(1),
      };
      act[e.key]?.();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [step, turn]);

  const error = query.error?.message;
  const moment = useMemo(
    () => ({ ribbon, error, index, frame: ribbon?.frames[index], moveTo, moveTime, step, turn, page }),
    [ribbon, error, index, moveTo, moveTime, step, turn, page],
  );
  return { moment, from };
}
