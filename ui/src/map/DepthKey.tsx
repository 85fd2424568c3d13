import type { Words } from '../api/client';
import { number, unitOf } from '../format/spoken';
import { token } from './palette';
import { map as say } from '../words/map';

/** Classes on which dark ink is read best. */
const light = new Set(['dry', 'ankle', 'knee', 'thigh']);

/** The tones of depth in words. */
export function DepthKey({ classes }: { classes: Words['classes'] }) {
  return (
    <ul className="depth-key" aria-label={say.tonesOfDepth}>
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
              ? say.now
              : classes[i + 1]
                ? say.to(number('depth', classes[i + 1]!.from_m).replace(/\.?0$/, ''), unitOf('depth'))
                : say.deeper}
          </span>
        </li>
      ))}
    </ul>
  );
}
