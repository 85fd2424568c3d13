import { Select } from 'antd';
import type { Choice, Playbook } from '../api/client';
import { Compare, type Aside } from './Compare';

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
      <p>
        <b>{aside.pick.offering}</b> at {aside.says} is laid aside.
      </p>
      <label>
        Compare it with
        <Select
          aria-label="Compare it with"
          placeholder="any other: type its name"
          autoFocus
          showSearch={{ optionFilterProp: 'label' }}
          options={others.map((n) => ({ value: n, label: n }))}
          onChange={onWith}
        />
      </label>
      <p>
        Or choose another in the list, or move the time and{' '}
        <button className="plain" onClick={onMoment}>
          compare it with this moment
        </button>
        .{' '}
        <button className="plain" onClick={onClose}>
          Never mind
        </button>
      </p>
    </div>
  );
}
