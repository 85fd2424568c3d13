import { Select } from 'antd';
import type { Choice, Playbook } from '../api/client';
import { Compare, type Aside } from './Compare';
import { tie as say } from '../words/tie';

/** What was laid aside, and what it is compared with: another offering, or another moment. */
export function Beside(props: {
  aside: Aside;
  beside?: Aside;
  listed: Choice[];
  offerings: Playbook['offerings'];
  onWith: (offering: string) => void;
  onMoment: () => void;
  onClose: () => void;
}) {
  const { aside, beside, listed, offerings, onWith, onMoment, onClose } = props;
  if (beside) return <Compare a={aside} b={beside} onClose={onClose} />;
  const near = listed.map((c) => c.offering);
  const others = [...new Set([...near, ...offerings.map((o) => o.name)])].filter(
    (n) => n !== aside.pick.offering,
  );
  return (
    <div className="panel laid-aside">
      <p>{say.atIsLaidAside(<b>{aside.pick.offering}</b>, aside.says)}</p>
      <label>
        {say.compareItWith}
        <Select
          aria-label={say.compareItWith}
          placeholder={say.anyOtherTypeItsName}
          autoFocus
          showSearch={{ optionFilterProp: 'label' }}
          options={others.map((n) => ({ value: n, label: n }))}
          onChange={onWith}
        />
      </label>
      <p>
        {say.orChooseAnotherInThe}{' '}
        <button className="plain" onClick={onMoment}>
          {say.compareItWithThisMoment}
        </button>
        .{' '}
        <button className="plain" onClick={onClose}>
          {say.neverMind}
        </button>
      </p>
    </div>
  );
}
