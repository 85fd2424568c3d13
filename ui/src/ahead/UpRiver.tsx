import type { Seasons } from '../api/client';
import { Wide } from '../frame/Wide';
import { fixed } from '../format/measure';
import { show } from '../format/spoken';
import { ahead as say } from '../words/ahead';

type Run = Seasons['up_river'][number];

/** Schools on their way up the rivers: where each is likely to lie, day by day, the mouth at the bottom. */
export function UpRiver({ runs }: { runs: Run[] }) {
  return (
    <section className="panel">
      <h2>{say.upTheRivers}</h2>
      {runs.map((r) => (
        <figure key={`${r.target} ${r.water}`} className="upriver">
          <figcaption>
            <b>{r.water}.</b> {r.says}
          </figcaption>
          <Wide label={say.runOfIn(r.name, r.water)}>
            <table>
              <tbody>
                {r.bends
                  .map((b, i) => (
                    <tr key={b.bend}>
                      <th scope="row">{say.bendOf(b.bend, b.spots)}</th>
                      {r.shares.map((day, d) => (
                        <td key={d}>
                          <i
                            style={{ opacity: Math.sqrt((day?.[i] ?? 0) * (r.come[d] ?? 0)) }}
                            role="img"
                            aria-label={say.shareOfRun(dayAfter(r.from, d), day?.[i] ?? 0)}
                          />
                        </td>
                      ))}
                    </tr>
                  ))
                  .reverse()}
              </tbody>
              <tfoot>
                <tr>
                  <th scope="row">{say.fromTheMouthUp}</th>
                  {r.shares.map((_, d) => (
                    <td key={d}>{d % 7 === 0 ? dayAfter(r.from, d) : ''}</td>
                  ))}
                </tr>
              </tfoot>
            </table>
          </Wide>
          {r.met.length > 0 && (
            <ul className="upriver-met" aria-label={say.metOnTheRun}>
              {r.met.slice(0, 12).map((m) => (
                <li key={`${m.time} ${m.bend} ${m.fish}`}>
                  {say.metAt(
                    dayAfter(m.time, 0),
                    m.bend,
                    m.fish,
                    fixed(m.rod_hours, 1),
                    m.warmth_c === undefined ? '' : show('temperature', m.warmth_c),
                    m.read ?? false,
                  )}
                </li>
              ))}
            </ul>
          )}
        </figure>
      ))}
      <p className="quiet small">{say.howARunIsFollowed}</p>
    </section>
  );
}

const dayAfter = (from: string, days: number) =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(
    new Date(new Date(from).getTime() + days * 86_400_000),
  );
