import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, type MonthPaper } from '../api/client';
import { depth, fixed } from '../format/spoken';
import { clock, dayShort } from '../format/time';
import { useTitle } from '../frame/useTitle';
import { Wide } from '../frame/Wide';
import { ahead as say } from '../words/ahead';
import './month.css';

/** A month of a spot on one page of paper: waters, sun, moon, and when one can be there. */
export default function MonthPage() {
  const { id } = useParams();
  const [search, setSearch] = useSearchParams();
  const month = search.get('month') ?? undefined;
  const q = useQuery({
    queryKey: ['month', id, month],
    queryFn: () => api.spotMonth(id!, month),
    enabled: !!id,
  });
  useTitle(q.data?.spot, say.aMonth);
  if (q.error) return <p role="alert">{q.error.message}</p>;
  if (!q.data) return <p className="panel quiet">{say.workingTheMonthOut}</p>;
  const m = q.data;
  const [y, n] = m.month.split('-').map(Number) as [number, number];
  const other = (by: number) => {
    const d = new Date(Date.UTC(y, n - 1 + by, 1));
    setSearch({ month: d.toISOString().slice(0, 7) });
  };
  const title = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    Date.UTC(y, n - 1, 15),
  );
  return (
    <article className="month">
      <div className="month-acts">
        <Link to="/water">{say.backToWater}</Link>
        <Button onClick={() => other(-1)}>{say.monthBefore}</Button>
        <Button onClick={() => other(1)}>{say.monthAfter}</Button>
        <Button type="primary" onClick={() => window.print()}>
          {say.printIt}
        </Button>
      </div>
      <h1>{say.monthOf(m.spot, title)}</h1>
      <Wide label={say.monthOf(m.spot, title)}>
        <table>
          <thead>
            <tr>
              <th scope="col">{say.day}</th>
              <th scope="col">{say.highAndLow}</th>
              <th scope="col">{say.sunUpDown}</th>
              <th scope="col">{say.moonLit}</th>
              <th scope="col">{say.beThere}</th>
            </tr>
          </thead>
          <tbody>
            {m.days.map((d) => (
              <Day key={d.from} d={d} zone={m.time_zone} />
            ))}
          </tbody>
        </table>
      </Wide>
      <p className="quiet small">{say.monthIsPredicted}</p>
    </article>
  );
}

function Day({ d, zone }: { d: MonthPaper['days'][number]; zone: string }) {
  const at = (t?: string) => (t ? clock(t, zone) : '–');
  return (
    <tr>
      <th scope="row">{dayShort(d.from, zone)}</th>
      <td>
        {d.turns.map((t) => (
          <span key={t.time} className={t.kind === 'high' ? 'month-high' : undefined}>
            {clock(t.time, zone)} {depth(t.height_m)}
          </span>
        ))}
      </td>
      <td className="month-nowrap">
        {at(d.sunrise[0])} {at(d.sunset[0])}
      </td>
      <td className="month-nowrap">
        {fixed(d.lit_pct, 0)} % <b>{d.moon}</b>
      </td>
      <td>
        {d.visits.map((v) => (
          <div key={v}>{v}</div>
        ))}
      </td>
    </tr>
  );
}
