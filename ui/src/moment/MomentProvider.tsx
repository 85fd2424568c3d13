import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { api, type Spot } from '../api/client';
import { kindList, type Kind } from '../format/measure';
import { typing } from './typing';
import { MomentContext, nearest, type Moment, type Overrides, type Plan, type Said } from './moment';

const hours = 36;
/** How much of the ribbon lies before a moment it is opened on. */
const before = 5 * 3600_000;
const spotKey = 'greypebble.spot';
const tenMinutes = 600_000;
const planKey = 'greypebble.plan';
/** Visits are shown for so long from the ribbon's beginning. */
const visitHours = 84;

function storedPlan(): Plan {
  try {
    const p = JSON.parse(localStorage.getItem(planKey) ?? '') as Partial<Plan>;
    return { margin: Number(p.margin) || 0, daylight: !!p.daylight };
  } catch {
    return { margin: 20, daylight: false };
  }
}

export function MomentProvider({ now, spots, children }: { now: Date; spots: Spot[]; children: ReactNode }) {
  const [spotId, setSpotId] = useState(() => localStorage.getItem(spotKey) ?? '');
  const spot = spots.find((s) => s.id === spotId) ?? spots[0]!;
  const [time, setTime] = useState(() => Math.round(now.getTime() / tenMinutes) * tenMinutes);
  const [from, setFrom] = useState(() => now.getTime() - before);
  const [opened] = useState(() => Date.now());
  const present = useCallback(() => new Date(now.getTime() + Date.now() - opened), [now, opened]);
  const [overrides, setOverrides] = useState<Overrides>({});

  const query = useQuery({
    queryKey: ['ribbon', spot.id, from],
    queryFn: () => api.ribbon(spot.id, new Date(from).toISOString(), hours),
    placeholderData: (previous, q) => (q?.queryKey[1] === spot.id ? keepPreviousData(previous) : undefined),
    staleTime: 600_000,
  });
  const ribbon = query.data;
  const [plan, setPlan] = useState(storedPlan);
  const visits = useQuery({
    queryKey: ['windows', spot.id, from, plan],
    queryFn: () =>
      api.windows(spot.id, {
        from: new Date(from).toISOString(),
        to: new Date(from + visitHours * 3600_000).toISOString(),
        margin_min: plan.margin,
        daylight: plan.daylight,
      }),
    placeholderData: (previous, q) => (q?.queryKey[1] === spot.id ? keepPreviousData(previous) : undefined),
  });
  const index = useMemo(() => (ribbon ? nearest(ribbon.frames, time) : 0), [ribbon, time]);

  const moveTime = useCallback(
    (t: Date) => {
      setTime(t.getTime());
      setFrom((f) => (t.getTime() < f || t.getTime() > f + hours * 3600_000 ? t.getTime() - before : f));
    },
    [setTime, setFrom],
  );
  const moveTo = useCallback(
    (i: number) => {
      const f = ribbon?.frames[i];
      if (f) setTime(Date.parse(f.time));
    },
    [ribbon],
  );
  const page = useCallback(
    (h: number) => {
      setFrom((f) => f + h * 3600_000);
      setTime((t) => t + h * 3600_000);
    },
    [setFrom, setTime],
  );
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
      // A turn is shown to the second, so one closer than that is the one we are on.
      const next =
        direction > 0 ? turns.find((t) => t > at + 1500) : turns.filter((t) => t < at - 1500).pop();
      if (next !== undefined) setTime(next);
      else page(12 * direction);
    },
    [ribbon, index, page],
  );
  const override = useCallback(
    (kind: Kind, value: number | null) =>
      setOverrides((o) => {
        const rest = { ...o };
        delete rest[kind];
        return value === null
          ? rest
          : { ...rest, [kind]: { value, time: new Date(time).toISOString(), spotId: spot.id } };
      }),
    [time, spot.id],
  );
  const queries = useQueryClient();
  const follow = useCallback(() => {
    for (const key of ['state', 'ribbon', 'advise', 'conditions', 'windows', 'chart'])
      void queries.invalidateQueries({ queryKey: [key] });
  }, [queries]);
  // What was said stays on screen until the server has it, and for good where there is no signal.
  const say = useCallback(
    async (said: Said[]) => {
      // What is shown is the frame nearest to the clock; what is seen now is not of a time to come.
      const shown = Date.parse(ribbon?.frames[index]?.time ?? new Date(time).toISOString());
      const now = present().getTime();
      const at = new Date(Math.abs(shown - now) <= tenMinutes ? Math.min(shown, now) : shown).toISOString();
      const readings = said.map(({ kind, value, word }) => (word ? { kind, word } : { kind, value }));
      await api.addReadings(spot.water_id, { time: at, spot_id: spot.id, readings });
      setOverrides((o) =>
        Object.fromEntries(Object.entries(o).filter(([k]) => !said.some((s) => s.kind === k))),
      );
      follow();
    },
    [ribbon, index, time, present, spot.id, spot.water_id, follow],
  );
  const takeBack = useCallback(
    async (kind: Kind, at: string) => {
      await api.takeBack(spot.water_id, kind, at);
      follow();
    },
    [spot.water_id, follow],
  );
  const choose = useCallback((id: string) => {
    localStorage.setItem(spotKey, id);
    setSpotId(id);
    setOverrides({});
  }, []);

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

  const value: Moment = {
    now,
    present,
    spots,
    spot,
    choose,
    ribbon,
    error: query.error?.message,
    index,
    frame: ribbon?.frames[index],
    moveTo,
    moveTime,
    step,
    turn,
    page,
    overrides,
    override,
    say,
    takeBack,
    plan,
    setPlan: (p) => {
      localStorage.setItem(planKey, JSON.stringify(p));
      setPlan(p);
    },
    visits: visits.data ?? [],
    readings: kindList.flatMap((kind) => (overrides[kind] ? [{ kind, value: overrides[kind].value }] : [])),
  };
  return <MomentContext value={value}>{children}</MomentContext>;
}
