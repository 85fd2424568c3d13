import type { Choice } from '../api/client';
import { factor, perHour } from '../format/measure';
import { Reasons } from './Reasons';
import { tie as say } from '../words/tie';

const parts = [
  ['there', 'There', say.areTheyHere],
  ['feeding', 'Feeding', say.areTheyEating],
  ['taken', 'Taken', say.doTheyTakeThis],
] as const;

/** The three questions an edge answers, each a bar from ×1 in the middle, its reasons under it. */
export function Parts({ choice, usual }: { choice: Choice; usual?: number }) {
  const c = choice.per_rod_hour;
  const of = (part: string) => choice.reasons.filter((r) => r.part === part);
  return (
    <>
      <div className="parts">
        {parts.map(([part, name, asks]) => (
          <section key={part} aria-label={name}>
            <header>
              <b>{name}</b>
              <span className="quiet small">{asks}</span>
              <Bar value={choice[part]} />
              <b className="part-factor">{factor(choice[part])}</b>
            </header>
            <Reasons reasons={of(part)} few={4} />
          </section>
        ))}
        <Reasons reasons={of('')} />
      </div>
      <p className="small expected">
        {say.aboutFishARodHour(
          <b>{perHour(c.median)}</b>,
          perHour(c.low),
          perHour(c.high),
          usual !== undefined && usual > 0 && usual < 0.97 && (
            <>{say.somethingUsualOnTheHook(factor(usual))}</>
          ),
        )}
      </p>
    </>
  );
}

const wide = 96;
const most = Math.log(4);

/** A factor as a bar to the right of the middle, or to the left of it. */
function Bar({ value }: { value: number }) {
  const by = Math.max(Math.min(Math.log(value) / most, 1), -1) * (wide / 2 - 2);
  return (
    <svg className="part-bar" width={wide} height={12} aria-hidden>
      <line x1={2} x2={wide - 2} y1={6} y2={6} className="scale" />
      <rect x={wide / 2 + Math.min(by, 0)} y={2} width={Math.abs(by)} height={8} rx={2} />
      <line x1={wide / 2} x2={wide / 2} y1={0} y2={12} className="ordinary" />
    </svg>
  );
}
