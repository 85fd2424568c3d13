import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { Wide } from '../frame/Wide';
import { useTitle } from '../frame/useTitle';
import { fixed } from '../format/measure';
import { distance, show, unitOf } from '../format/spoken';
import { day } from '../format/time';
import { ChooseFile } from '../file/ChooseFile';
import { useColumns } from '../file/MapColumns';
import { soughtLast } from '../tie/asking';
import './evidence.css';
import { back as say } from '../words/back';

/** Met nearer than this it was met at the same place, m. */
const near = 50;

/** A day's growth, finer than fish are measured. */
const finely = (metres: number) =>
  unitOf('fish_length') === 'in' ? show('fish_length', metres, 3) : say.measures2.mm(fixed(metres * 1000, 2));

/** Fish that come again, and what many of one kind tell by their measures. */
export default function MeasuresPage() {
  useTitle(say.measures2.title);
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const tags = useQuery({ queryKey: ['tags'], queryFn: api.tags });
  const [chosen, choose] = useState(soughtLast());
  const target = chosen ?? targets.data?.[0]?.id;
  const grown = useQuery({
    queryKey: ['growth', target],
    queryFn: () => api.growth(target!),
    enabled: !!target,
    placeholderData: keepPreviousData,
  });
  const g = grown.data;
  return (
    <div className="evidence">
      <p>
        <Link to="/back">{say.compare.toTheLog}</Link>
      </p>
      <h1>{say.measures2.title}</h1>
      <section className="panel evidence-part">
        <h2>{say.measures2.byLength}</h2>
        <Select
          aria-label={say.target}
          showSearch={{ optionFilterProp: 'label' }}
          value={target ?? null}
          onChange={(t: string) => choose(t)}
          options={(targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
        />
        {grown.error && <p role="alert">{grown.error.message}</p>}
        {g && (
          <>
            <p>
              {g.own
                ? say.measures2.own(
                    g.weighed,
                    fixed(g.b, 2),
                    fixed(g.b_low ?? g.b, 2),
                    fixed(g.b_high ?? g.b, 2),
                  )
                : say.measures2.book(g.weighed, g.fewest, fixed(g.b, 2))}
            </p>
            {g.longest && <p>{say.measures2.longest(best(g.longest))}</p>}
            {g.heaviest && <p>{say.measures2.heaviest(best(g.heaviest))}</p>}
            {g.months.length > 0 && (
              <ul className="measure-months">
                {g.months.map((m) => (
                  <li key={m.month}>
                    {say.measures2.month(say.months[m.month - 1]!, percent(m.fat), m.fish)}
                  </li>
                ))}
              </ul>
            )}
            {!g.longest && !g.heaviest && <p className="quiet">{say.measures2.nothing(g.target_name)}</p>}
          </>
        )}
      </section>
      <section className="panel evidence-part">
        <h2>{say.measures2.again}</h2>
        {tags.error && <p role="alert">{tags.error.message}</p>}
        {tags.data && <Lists lists={tags.data.lists} />}
        {tags.data?.tagged.length === 0 && <p className="quiet">{say.measures2.noTags}</p>}
        {tags.data?.recaptures.map((r) => (
          <p key={r.first.time + r.again.time + r.first.number}>
            {say.measures2.recapture({
              fish: r.again.target_name,
              number: r.first.number,
              first: place(r.first),
              again: place(r.again),
              days: Math.round(r.days),
              ...(r.straight_m < near
                ? { way: say.measures2.samePlace, round: undefined }
                : {
                    way: say.measures2.flies(distance(r.straight_m)),
                    round: r.over_water_m === undefined ? undefined : distance(r.over_water_m),
                  }),
              grown:
                r.growth_m_per_day === undefined ? undefined : say.measures2.aDay(finely(r.growth_m_per_day)),
              doubt: r.doubt,
            })}
          </p>
        ))}
        {(tags.data?.tagged.length ?? 0) > 0 && (
          <>
            <Wide label={say.measures2.again}>
              <table className="evidence-table tags">
                <thead>
                  <tr>
                    <th scope="col">{say.tagNumber}</th>
                    <th scope="col">{say.target}</th>
                    <th scope="col">{say.evidence.day}</th>
                    <th scope="col">{say.spot}</th>
                    <th scope="col">{say.length}</th>
                  </tr>
                </thead>
                <tbody>
                  {tags.data?.tagged.map((t) => (
                    <tr key={t.catch_id}>
                      <th scope="row">{t.number}</th>
                      <td>{t.target_name}</td>
                      <td>{day(t.time, t.time_zone)}</td>
                      <td>{t.spot_name}</td>
                      <td>{t.length_m ? show('fish_length', t.length_m) : ''}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Wide>
            <p>
              <a href="/api/v1/interchange/tags.csv" download>
                {say.measures2.asCsv}
              </a>
            </p>
          </>
        )}
      </section>
    </div>
  );
}

const percent = (fat: number) => `${Math.round(100 * (fat - 1))}`;

const place = (t: Schemas['TaggedOut']) => `${t.spot_name ?? t.list}, ${day(t.time, t.time_zone)}`;

/** Lists of tagged fish that others met: taken in, and forgotten. */
function Lists({ lists }: { lists: readonly Schemas['TagListOut'][] }) {
  const invalidate = useInvalidate();
  const follow = () => invalidate('log');
  const send = useMutation({
    mutationFn: (l: { name: string; text: string }) => api.importTags(l.name, l.text),
    onSuccess: follow,
  });
  const forget = useMutation({ mutationFn: api.deleteTagList, onSuccess: follow });
  const { take, form } = useColumns('tags', (text, name) =>
    send.mutate({ text, name: name.replace(/\.\w+$/, '').slice(0, 120) }),
  );
  return (
    <div className="tag-lists">
      <p className="quiet">{say.measures2.listsSay}</p>
      <ChooseFile
        says={say.measures2.addList}
        accept=".csv,text/csv"
        onFile={(f) => void take(f)}
        {...(send.error ? { fault: send.error.message } : {})}
      />
      {form}
      <Fault of={[forget]} />
      <ul>
        {lists.map((l) => (
          <li key={l.name}>
            {say.measures2.list(l.name, l.fish)}{' '}
            <button className="plain small" onClick={() => forget.mutate(l.name)}>
              {say.measures2.forget(l.name)}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** "62.0 cm, 2.9 kg, at Kettle Bar, Sat 3 Oct: fat for its length". */
const best = (b: Schemas['BestOut']) =>
  say.measures2.best(
    [b.length_m && show('fish_length', b.length_m), b.mass_kg && show('fish', b.mass_kg, 2)]
      .filter(Boolean)
      .join(', '),
    `${b.spot_name}, ${day(b.time, b.time_zone)}`,
    b.build,
  );
