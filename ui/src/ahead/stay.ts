import type { DayPlan } from '../api/client';

export type Leg = DayPlan['legs'][number];

/** A leg as a plan keeps it. */
export const stayOf = (l: Leg) => ({
  spot_id: l.spot_id,
  arrive: l.arrive,
  leave: l.leave,
  target: l.target,
  pinned: l.pinned,
  spare_from: l.spare_from,
  spare_until: l.spare_until,
});
