import type { Choice } from '../api/client';
import { factor, perHour } from '../format/measure';

/** The three questions an edge answers, side by side, and what may come of it. */
export function Parts({ choice, usual }: { choice: Choice; usual?: number }) {
  const c = choice.per_rod_hour;
  return (
    <>
      <dl className="parts" aria-label="The three parts of the edge">
        <Part name="There" asks="are they here?" value={choice.there} />
        <Part name="Feeding" asks="are they eating?" value={choice.feeding} />
        <Part name="Taken" asks="do they take this?" value={choice.taken} />
      </dl>
      <p className="small expected">
        About <b>{perHour(c.median)}</b> fish a rod-hour, four times in five between {perHour(c.low)} and{' '}
        {perHour(c.high)}.
        {usual !== undefined && usual > 0 && usual < 0.97 && (
          <> Something usual on the hook would be {factor(usual)} of the best.</>
        )}
      </p>
    </>
  );
}

function Part({ name, asks, value }: { name: string; asks: string; value: number }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        <b>{factor(value)}</b>
        <span className="quiet small">{asks}</span>
      </dd>
    </div>
  );
}
