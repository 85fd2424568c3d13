import { useCallback, useMemo, useState } from 'react';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useKinds, type Kind } from '../conditions/kinds';
import type { Given, Moment, Overrides, Place, Said } from './moment';
import { tenMinutes } from './useMomentState';

/** When something was said: what is shown is the frame nearest to the clock, and what is seen now is not of a time to come. */
export function saidAt(shown: number, now: number): Date {
  return new Date(Math.abs(shown - now) <= tenMinutes ? Math.min(shown, now) : shown);
}

/** What the angler says of the water: it stays on screen until the server has it, and for good where there is no signal. */
export function useGivenState({ spot, present }: Place, { frame }: Moment): Given {
  const kinds = useKinds();
  const invalidate = useInvalidate();
  const [all, setAll] = useState<Record<string, Overrides>>({});
  const overrides = useMemo(() => all[spot.id] ?? {}, [all, spot.id]);
  const frameTime = frame?.time;
  const shown = useCallback(
    () => (frameTime ? Date.parse(frameTime) : present().getTime()),
    [frameTime, present],
  );
  const change = useCallback(
    (f: (o: Overrides) => Overrides) => setAll((a) => ({ [spot.id]: f(a[spot.id] ?? {}) })),
    [spot.id],
  );
  const override = useCallback(
    (kind: Kind, value: number | null) =>
      change((o) => {
        const rest = { ...o };
        delete rest[kind];
        return value === null
          ? rest
          : { ...rest, [kind]: { value, time: new Date(shown()).toISOString(), spotId: spot.id } };
      }),
    [change, shown, spot.id],
  );
  const say = useCallback(
    async (said: Said[]) => {
      const readings = said.map(({ kind, value, word }) => (word ? { kind, word } : { kind, value }));
      const time = saidAt(shown(), present().getTime()).toISOString();
      await api.addReadings(spot.water_id, { time, spot_id: spot.id, readings });
      change((o) => Object.fromEntries(Object.entries(o).filter(([k]) => !said.some((s) => s.kind === k))));
      void invalidate('readings');
    },
    [shown, present, spot.id, spot.water_id, change, invalidate],
  );
  const takeBack = useCallback(
    async (kind: Kind, at: string) => {
      await api.takeBack(spot.water_id, kind, at);
      void invalidate('readings');
    },
    [spot.water_id, invalidate],
  );
  const readings = useMemo(
    () =>
      kinds.list.flatMap(({ kind }) => {
        const o = overrides[kind];
        return o ? [{ kind, value: o.value }] : [];
      }),
    [kinds, overrides],
  );
  return useMemo(
    () => ({ overrides, override, say, takeBack, readings }),
    [overrides, override, say, takeBack, readings],
  );
}
