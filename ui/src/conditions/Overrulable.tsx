import { memo, useState } from 'react';
import type { Condition } from '../api/client';
import { useGiven } from '../moment/moment';
import { theAngler, useKinds, write, type Kind } from './kinds';
import { Overrule } from './Overrule';
import { meaning } from './origin';
import { Pop } from './Pop';
import { conditions as say } from '../words/conditions';

/** A value in the strip; a touch opens what is known of it and lets the angler overrule it. */
export function Overrulable(props: { kind: Kind; believed: Condition; by: Map<string, Condition> }) {
  const { kind, believed, by } = props;
  const given = useGiven();
  const also = useKinds().alongside(kind);
  return (
    <Chip
      kind={kind}
      believed={believed}
      own={given.overrides[kind]?.value}
      also={also && by.get(also.kind)}
      ownAlso={also && given.overrides[also.kind]?.value}
    />
  );
}

/** It stays as it is while only the moment moves. */
const Chip = memo(function Chip(props: {
  kind: Kind;
  believed: Condition;
  own?: number;
  also?: Condition;
  ownAlso?: number;
}) {
  const { kind, believed, own, also } = props;
  const kinds = useKinds();
  const [open, setOpen] = useState(false);
  // What the angler says stands out, whether seen or expected.
  const origin = own !== undefined || believed.source === theAngler ? 'observed' : believed.origin;
  const n = kinds.of(kind)!;
  const alsoIs = kinds.alongside(kind);
  const alsoValue = props.ownAlso ?? also?.value;
  return (
    <li>
      <Pop
        title={n.long}
        open={open}
        onOpen={setOpen}
        content={<Overrule kind={kind} believed={believed} also={also} onDone={() => setOpen(false)} />}
      >
        <button className={`cond ${origin}`} title={say.changeIt(meaning[origin])}>
          {n.name}{' '}
          <b>
            {alsoIs && alsoValue !== undefined ? `${write(alsoIs, alsoValue)} ` : ''}
            {write(n, own ?? believed.value)}
          </b>
          <span className="unseen">, {origin}</span>
        </button>
      </Pop>
    </li>
  );
});
