import type { Choice } from '../api/client';
import { Sketch } from './Sketch';

/** The choice as it is fished: from the side on the spot's own section, and from above where that shows which way. */
export function Shown({ choice, how }: { choice: Choice; how: string }) {
  if (!choice.side)
    return (
      <div className="shown">
        <p className="how">{how}</p>
        <p className="small shown-cast">{choice.card.cast}</p>
      </div>
    );
  return (
    <div className="shown">
      <Sketch className="place" drawing={choice.side} label={choice.side.says} />
      <p className="how">{how}</p>
      {choice.plan && (
        <figure>
          <Sketch className="place" drawing={choice.plan} label={choice.plan.says} />
          <figcaption className="small">{choice.card.cast}</figcaption>
        </figure>
      )}
      {!choice.plan && <p className="small shown-cast">{choice.card.cast}</p>}
    </div>
  );
}

/** How wide a choice is drawn, in points, for the words in it to keep their size. */
export function drawnPx(narrow: boolean): number {
  if (narrow) return Math.max(Math.min(window.innerWidth - 54, 640), 280);
  const detail = Math.min(window.innerWidth - 152, 1400) - 366;
  return Math.min(Math.max(detail - 42 - rigPx - 22, 340), 720);
}

/** Room the rig takes beside it. */
const rigPx = 300;
