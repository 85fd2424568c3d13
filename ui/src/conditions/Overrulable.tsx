import { Popover } from 'antd';
import { useState } from 'react';
import type { Condition } from '../api/client';
import { kinds, type Kind } from '../format/measure';
import { useMoment } from '../moment/moment';
import { Overrule } from './Overrule';
import { meaning } from './origin';

/** A value in the strip; a touch opens what is known of it and lets the angler overrule it. */
export function Overrulable({ kind, believed, from }: { kind: Kind; believed: Condition; from?: Condition }) {
  const m = useMoment();
  const [open, setOpen] = useState(false);
  const own = m.overrides[kind];
  const value = own?.value ?? believed.value;
  // What the angler says stands out, whether seen or expected.
  const origin = own || believed.source === 'the angler' ? 'observed' : believed.origin;
  const k = kinds[kind];
  const wind = kind === 'wind_speed_ms';
  const fromValue = m.overrides.wind_from_deg?.value ?? from?.value;
  return (
    <li>
      <Popover
        open={open}
        onOpenChange={setOpen}
        trigger="click"
        placement="bottomRight"
        destroyOnHidden
        content={<Overrule kind={kind} believed={believed} from={from} onDone={() => setOpen(false)} />}
      >
        <button className={`cond ${origin}`} title={`${meaning[origin]}. Change it`}>
          {k.name}{' '}
          <b>
            {wind && fromValue !== undefined ? `${kinds.wind_from_deg.write(fromValue)} ` : ''}
            {k.write(value)}
          </b>
          <span className="unseen">, {origin}</span>
        </button>
      </Popover>
    </li>
  );
}
