import { Select } from 'antd';
import type { School } from '../api/client';
import './positions.css';
import { tie as say } from '../words/tie';

/** Where anglers disagree: the position taken, both sides' reasons, and why the default is the default. */
export function Positions(props: {
  schools: School[];
  /** The position taken of each; the school's own where not said. */
  taken: (s: School) => string;
  onTake: (school: School, position: string) => void;
}) {
  const { schools, taken, onTake } = props;
  return (
    <ul className="positions">
      {schools.map((s) => {
        const now = taken(s);
        const p = s.positions.find((k) => k.id === now);
        return (
          <li key={s.id} data-school={s.id}>
            <label>
              <b>{s.says}</b>
              <Select
                aria-label={s.says}
                value={now}
                onChange={(v) => onTake(s, v)}
                popupMatchSelectWidth={false}
                options={s.positions.map((k) => ({
                  value: k.id,
                  label: k.id === s.default ? say.usual(k.says) : k.says,
                }))}
              />
            </label>
            <p className="small">{p?.effect}</p>
            <details>
              <summary className="small quiet">{say.whatEachSideSays}</summary>
              {s.positions.map((k) => (
                <p key={k.id} className="small">
                  <b>{k.says}.</b> {k.reason}
                </p>
              ))}
              <p className="small quiet">
                {say.usualHereYourOwnLog(s.positions.find((k) => k.id === s.default)?.says, s.why)}
              </p>
            </details>
          </li>
        );
      })}
    </ul>
  );
}
