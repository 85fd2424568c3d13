import { Popover } from 'antd';
import { memo, useState } from 'react';
import type { Condition } from '../api/client';
import { kinds, type Kind } from '../format/measure';
import { useMoment } from '../moment/moment';
import { Overrule } from './Overrule';
import { meaning } from './origin';

/** A value in the strip; a touch opens what is known of it and lets the angler overrule it. */
export function Overrulable({ kind, believed, from }: { kind: Kind; believed: Condition; from?: Condition }) {
  const m = useMoment();
  return (
    <Chip
      kind={kind}
      believed={believed}
      from={from}
      own={m.overrides[kind]?.value}
      ownFrom={m.overrides.wind_from_deg?.value}
    />
  );
}

/** It stays as it is while only the moment moves. */
const Chip = memo(function Chip(props: {
  kind: Kind;
  believed: Condition;
  from?: Condition;
  own?: number;
  ownFrom?: number;
}) {
  const { kind, believed, from, own } = props;
  const [open, setOpen] = useState(false);
  const value = own ?? believed.value;
  // What the angler says stands out, whether seen or expected.
  const origin = own !== undefined || believed.source === 'the angler' ? 'observed' : believed.origin;
  const k = kinds[kind];
  const fromValue = props.ownFrom ?? from?.value;
  const wind = kind === 'wind_speed_ms';
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
});
