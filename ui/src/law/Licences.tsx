import { Checkbox } from 'antd';
import { useState } from 'react';

import { law as say } from '../words/law';
import { useRulesChanged } from './useRulesChanged';
import { heldLicences, holdLicences } from './licences';

/** Which licence classes one holds, where rules differ by them. */
export function Licences({ classes }: { classes: string[] }) {
  const changed = useRulesChanged();
  const [held, setHeld] = useState(heldLicences);
  if (classes.length === 0) return null;
  return (
    <section className="panel">
      <h2>{say.iHold}</h2>
      <p className="quiet">{say.iHoldSays}</p>
      <Checkbox.Group
        options={classes}
        value={held ?? []}
        onChange={(list) => {
          const some = list.length > 0 ? list : undefined;
          setHeld(some);
          holdLicences(some);
          void changed();
        }}
      />
    </section>
  );
}
