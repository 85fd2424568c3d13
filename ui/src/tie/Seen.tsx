import { show } from '../format/spoken';
import { NumberIn } from '../format/NumberField';
import { Toggle } from '../water/Toggle';
import { tie as say } from '../words/tie';
import { allOf } from '../words/joined';

/** What is seen on the water now: it counts for this place and the next hours, and is not kept. */
export function Seen(props: {
  signs: string[];
  seen: string[];
  onChange: (seen: string[]) => void;
  /** Levels at which fish show, metres, the one to be fished first. */
  levels: number[];
  onLevels: (levels: number[]) => void;
}) {
  const { signs, seen, onChange, levels, onLevels } = props;
  const told = [
    ...seen,
    ...(levels.length > 0
      ? [say.fishAt(allOf(levels.map((m) => show('depth', m, 1).replace('.0 ', ' '))))]
      : []),
  ];
  return (
    <details className="fold seen">
      <summary>
        <span className="quiet">{say.youSee}</span> {told.length > 0 ? told.join(', ') : say.nothing}
      </summary>
      <div role="group" aria-label={say.seenOnTheWater}>
        {signs.map((s) => (
          <Toggle
            key={s}
            on={seen.includes(s)}
            onChange={(on) => onChange(on ? [...seen, s] : seen.filter((k) => k !== s))}
          >
            {s}
          </Toggle>
        ))}
      </div>
      <div className="levels" role="group" aria-label={say.onTheSounder}>
        {[...levels, undefined].slice(0, mostLevels).map((level, i) => (
          <NumberIn
            key={i}
            label={i === 0 ? say.fishShowAtDeep : say.andAt}
            value={level}
            onChange={(m) =>
              onLevels(
                [...levels.slice(0, i), ...(m ? [m] : []), ...levels.slice(i + 1)].filter((k) => k > 0),
              )
            }
            measure="depth"
            min={0.1}
            max={400}
          />
        ))}
      </div>
    </details>
  );
}

const mostLevels = 3;
