import { Toggle } from '../water/Toggle';

/** What is seen on the water now: it counts for this place and the next hours, and is not kept. */
export function Seen(props: { signs: string[]; seen: string[]; onChange: (seen: string[]) => void }) {
  const { signs, seen, onChange } = props;
  return (
    <details className="seen">
      <summary>
        <span className="quiet">You see:</span> {seen.length > 0 ? seen.join(', ') : 'nothing told yet'}
      </summary>
      <div role="group" aria-label="Seen on the water">
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
    </details>
  );
}
