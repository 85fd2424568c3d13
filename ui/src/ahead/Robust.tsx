import type { DayPlan } from '../api/client';
import { fixed } from '../format/spoken';
import { ahead as say } from '../words/ahead';

/** What a day is expected to bring, and what it comes to when the forecast is off. Of the best of some
 * days it is told how well it holds; the others are worse than it to begin with. */
export function Robust({ plan, best }: { plan: DayPlan; best: boolean }) {
  const better = best ? plan.changes.filter((c) => c.better) : [];
  return (
    <>
      <p className="quiet small">
        {say.expectedOver(catches(plan.expected), catches(plan.expected_low), catches(plan.expected_high))}{' '}
        {plan.changes.length > 0 &&
          say.otherwise(plan.changes.map((c) => say.hoursWhen(fixed(c.worth_h, 0), c.says)))}{' '}
        {best && plan.changes.length > 0 && say.holdsIn(Math.round(100 * plan.robust))}
      </p>
      {better.map((c) => (
        <p key={c.says} className="quiet small">
          {say.thenRather(c.says, c.better)}
        </p>
      ))}
    </>
  );
}

const catches = (n: number) => (n < 10 ? fixed(n, 1) : fixed(n, 0));
