import type { Sheet } from '../api/client';
import { number, show } from '../format/spoken';
import { conditions as say } from '../words/conditions';

/** The column of water in its layers of light, with the finishes that show in each. */
export function LightColumn({ bands }: { bands: Sheet['bands'] }) {
  const depth = bands[bands.length - 1]?.to_m ?? 1;
  return (
    <ol className="light-column">
      {bands.map((b) => (
        <li
          key={b.light}
          className={`light-${b.light}`}
          style={{ flexGrow: Math.max(((b.to_m - b.from_m) / depth) * 6, 1) }}
        >
          <span className="light-depth">
            {say.to(number('depth', b.from_m, 1), show('depth', b.to_m, 1))}
          </span>
          <span>
            <b>{b.light}</b>:{' '}
            {b.finishes
              .slice(0, 3)
              .map((f) => f.finish)
              .join(', ')}{' '}
            <span className="quiet small">
              {' '}
              {say.whyAndNot(b.finishes[0]?.why, b.finishes[b.finishes.length - 1]?.finish)}
            </span>
          </span>
        </li>
      ))}
    </ol>
  );
}
