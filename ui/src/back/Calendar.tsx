import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { fixed } from '../format/measure';
import type { Filters } from './useFilters';
import './calendar.css';
import { back as say } from '../words/back';

const cell = 13;
const gap = 3;
const dayMs = 86_400_000;

/** A year of effort and catch: a square a day, the darker the longer it was fished, a dot where fish were caught. */
export function Calendar({ f, now }: { f: Filters; now: Date }) {
  const to = f.to ? new Date(f.to) : now;
  const from = new Date(to.getTime() - 365 * dayMs);
  const q = useQuery({
    queryKey: ['log-days', f, to.toISOString().slice(0, 10)],
    queryFn: () => api.logDays({ ...f, from: from.toISOString(), to: to.toISOString() }),
  });
  if (!q.data) return null;
  const days = new Map(q.data.days.map((d) => [d.day, d]));
  const most = Math.max(...q.data.days.map((d) => d.rod_hours), 1e-9);
  // From the Monday of the first week.
  const first = new Date(Date.UTC(from.getUTCFullYear(), from.getUTCMonth(), from.getUTCDate()));
  first.setUTCDate(first.getUTCDate() - ((first.getUTCDay() + 6) % 7));
  const count = Math.ceil((to.getTime() - first.getTime()) / dayMs);
  const weeks = Math.ceil(count / 7);
  const total = q.data.days.reduce((t, d) => ({ fish: t.fish + d.catches, hours: t.hours + d.rod_hours }), {
    fish: 0,
    hours: 0,
  });
  const months: { at: number; name: string }[] = [];
  for (let w = 0; w < weeks; w++) {
    const d = new Date(first.getTime() + w * 7 * dayMs);
    if (d.getUTCDate() <= 7) months.push({ at: w, name: say.months[d.getUTCMonth()]! });
  }
  const width = weeks * (cell + gap);
  return (
    <section className="panel log-calendar">
      <p>{say.year(q.data.days.length, fixed(total.hours, 1), total.fish)}</p>
      {/* The newest stands in sight. */}
      <div className="calendar-scroll" ref={(box) => void box?.scrollTo({ left: box.scrollWidth })}>
        <svg viewBox={`0 0 ${width} ${7 * (cell + gap) + 18}`} role="img" aria-label={say.yearDrawn}>
          {months.map((m) => (
            <text key={m.at} x={m.at * (cell + gap)} y={11}>
              {m.name}
            </text>
          ))}
          {Array.from({ length: count }, (_, i) => {
            const day = new Date(first.getTime() + i * dayMs).toISOString().slice(0, 10);
            const d = days.get(day);
            const x = Math.floor(i / 7) * (cell + gap);
            const y = 18 + (i % 7) * (cell + gap);
            return (
              <g key={day}>
                <rect
                  x={x}
                  y={y}
                  width={cell}
                  height={cell}
                  rx={3}
                  className={d ? 'fished' : undefined}
                  fillOpacity={d ? 0.25 + (0.75 * d.rod_hours) / most : undefined}
                >
                  {d && <title>{say.dayCame(day, fixed(d.rod_hours, 1), d.catches)}</title>}
                </rect>
                {d && d.catches > 0 && (
                  <circle cx={x + cell / 2} cy={y + cell / 2} r={Math.min(2 + d.catches / 2, 5)} />
                )}
              </g>
            );
          })}
        </svg>
      </div>
      <p className="quiet small">{say.calendarLegend}</p>
    </section>
  );
}
