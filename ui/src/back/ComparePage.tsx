import { useQuery } from '@tanstack/react-query';
import { Input } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../api/client';
import { useTitle } from '../frame/useTitle';
import { times } from '../format/measure';
import { fixed } from '../format/spoken';
import { NumberField } from '../format/NumberField';
import './compare.css';
import { place } from '../tie/Whisker';
import { back as say } from '../words/back';

interface Arm {
  name: string;
  fish: number | undefined;
  hours: number | undefined;
  hooked: number | undefined;
}
const empty: Arm = { name: '', fish: undefined, hours: undefined, hooked: undefined };

/** Two lures, baits or ways that were fished side by side: what it showed, and what it did not. */
export default function ComparePage() {
  useTitle(say.compare.title);
  const [arms, setArms] = useState<[Arm, Arm]>([empty, empty]);
  const set = (i: 0 | 1, part: Partial<Arm>) =>
    setArms((a) => (i === 0 ? [{ ...a[0], ...part }, a[1]] : [a[0], { ...a[1], ...part }]));
  const [a, b] = arms;
  const known = (k: Arm) => k.fish !== undefined && !!k.hours;
  const arm = (k: Arm) => ({ name: k.name.trim(), fish: k.fish!, hours: k.hours! });
  const rates = useQuery({
    queryKey: ['rate-ratio', a, b],
    queryFn: () => api.rateRatio({ first: arm(a), second: arm(b) }),
    enabled: known(a) && known(b),
    staleTime: Infinity,
  });
  const shares = useQuery({
    queryKey: ['shares', a, b],
    queryFn: () =>
      api.shares({
        first: { name: a.name.trim(), so: a.fish!, of: a.hooked! },
        second: { name: b.name.trim(), so: b.fish!, of: b.hooked! },
      }),
    enabled: known(a) && known(b) && (a.hooked ?? 0) > 0 && (b.hooked ?? 0) > 0,
    staleTime: Infinity,
    retry: false,
  });
  const r = known(a) && known(b) ? rates.data : undefined;
  return (
    <div className="two-lures">
      <p>
        <Link to="/back">{say.compare.toTheLog}</Link>
      </p>
      <h1>{say.compare.title}</h1>
      <p className="quiet">{say.compare.fair}</p>
      <div className="compare-arms">
        {([0, 1] as const).map((i) => (
          <fieldset key={i} className="panel form">
            <legend>{i === 0 ? say.compare.first : say.compare.second}</legend>
            <label>
              {say.compare.what}
              <Input
                aria-label={say.compare.whatOf(i + 1)}
                maxLength={60}
                value={arms[i].name}
                onChange={(e) => set(i, { name: e.target.value })}
              />
            </label>
            {(
              [
                ['fish', say.compare.fish, 0, 20_000],
                ['hours', say.compare.hours, 1, 100_000],
                ['hooked', say.compare.hooked, 0, 10_000],
              ] as const
            ).map(([key, label, decimals, most]) => (
              <label key={key}>
                {label}
                <NumberField
                  min={0}
                  max={most}
                  decimals={decimals}
                  value={arms[i][key]}
                  onChange={(v) => set(i, { [key]: decimals === 0 && v !== undefined ? Math.round(v) : v })}
                />
              </label>
            ))}
          </fieldset>
        ))}
      </div>
      <section className="panel" aria-live="polite">
        {rates.error && <p role="alert">{rates.error.message}</p>}
        {r ? (
          <>
            <p className="compare-says">{r.says}</p>
            <Ratio value={r.value} low={r.low} high={r.high} first={a.name} second={b.name} />
          </>
        ) : (
          !rates.error && <p className="quiet">{say.compare.fillIn}</p>
        )}
        {shares.error && <p role="alert">{shares.error.message}</p>}
        {shares.data && <p>{say.compare.landed(shares.data.says)}</p>}
      </section>
      <Before rate={r && b.fish && b.hours ? b.fish / b.hours : undefined} />
    </div>
  );
}

const ticks: [number, string][] = [
  [1 / 8, '×⅛'],
  [1 / 4, '¼'],
  [1 / 2, '½'],
  [1, say.compare.alike],
  [2, '2'],
  [4, '4'],
  [8, '×8'],
];

/** The ratio on the scale from an eighth to eight times; what runs on beyond it ends in an arrow. */
function Ratio(props: {
  value: number | null;
  low: number | null;
  high: number | null;
  first: string;
  second: string;
}) {
  const { value, low, high } = props;
  if (value === null && low === null && high === null) return null;
  const w = 560;
  const m = 18;
  const x = (e: number | null, otherwise: number) => m + (e === null ? otherwise : place(e)) * (w - 2 * m);
  return (
    <svg
      className="compare-ratio"
      viewBox={`0 0 ${w} 54`}
      role="img"
      aria-label={say.compare.between(low === null ? '–' : times(low), high === null ? '–' : times(high))}
    >
      <line className="scale" x1={m} x2={w - m} y1={16} y2={16} />
      {ticks.map(([t, says]) => (
        <g key={t}>
          <line
            className={t === 1 ? 'alike' : 'scale'}
            x1={x(t, 0)}
            x2={x(t, 0)}
            y1={t === 1 ? 2 : 11}
            y2={t === 1 ? 30 : 21}
          />
          <text x={x(t, 0)} y={48} textAnchor="middle">
            {says}
          </text>
        </g>
      ))}
      <line className="interval" x1={x(low, 0)} x2={x(high, 1)} y1={16} y2={16} />
      {value !== null && <circle className="median" cx={x(value, 0)} cy={16} r={6} />}
    </svg>
  );
}

/** What it takes to tell two apart, before one begins. */
function Before({ rate }: { rate: number | undefined }) {
  const [typed, setTyped] = useState<number>();
  const each = typed ?? rate;
  return (
    <section className="panel">
      <h2>{say.compare.before}</h2>
      <label className="compare-rate">
        {say.compare.usualRate}
        <NumberField min={0.01} max={1000} decimals={2} value={each} onChange={setTyped} />
      </label>
      {each !== undefined && each > 0 && (
        <ul>
          {[4 / 3, 3 / 2, 2, 3].map((ratio) => (
            <Takes key={ratio} ratio={ratio} rate={each} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Takes({ ratio, rate }: { ratio: number; rate: number }) {
  const { data } = useQuery({
    queryKey: ['trial-power', ratio, rate],
    queryFn: () => api.trialPower({ ratio, rate }),
    staleTime: Infinity,
  });
  if (!data) return null;
  const hours = data.hours_each;
  return (
    <li>
      {hours === undefined
        ? say.compare.never(times(ratio))
        : say.compare.takes(times(ratio), fixed(hours, hours < 10 ? 1 : 0))}
    </li>
  );
}
