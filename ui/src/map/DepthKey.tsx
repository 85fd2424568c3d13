import type { Words } from '../api/client';
import { number, unitOf } from '../format/spoken';
import { token } from './palette';

/** Classes on which dark ink is read best. */
const light = new Set(['dry', 'ankle', 'knee', 'thigh']);

/** The tones of depth in words. */
export function DepthKey({ classes }: { classes: Words['classes'] }) {
  return (
    <ul className="depth-key" aria-label="Tones of depth">
      {classes.map((c, i) => (
        <li
          key={c.name}
          style={{
            background: `var(${token(c.name)})`,
            color: light.has(c.name) ? 'var(--key-ink)' : 'var(--key-light)',
          }}
        >
          {c.name}
          <span>
            {i === 0
              ? 'now'
              : classes[i + 1]
                ? `to ${number('depth', classes[i + 1]!.from_m).replace(/\.?0$/, '')} ${unitOf('depth')}`
                : 'deeper'}
          </span>
        </li>
      ))}
    </ul>
  );
}
