import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useSpotState } from '../conditions/useSpotState';
import { metres } from '../format/measure';
import { useMoment } from '../moment/moment';
import { Section } from './Section';
import { closesSoon, markInWords, wayInWords } from './windows';
import './water.css';

export default function WaterPage() {
  const m = useMoment();
  const spot = useQuery({
    queryKey: ['spot', m.spot.id],
    queryFn: () => api.spot(m.spot.id),
    staleTime: Infinity,
  });
  const state = useSpotState();
  const zone = m.spot.time_zone;
  const at = m.frame ? Date.parse(m.frame.time) : 0;
  const ribbon = m.ribbon;
  return (
    <div className="water">
      <div className="water-draw">
        <div className="water-head">
          <h1>{ribbon && m.frame ? headline(ribbon.marks, m.frame.depths_m) : m.spot.name}</h1>
          <p className="quiet">
            {m.spot.place}, {m.spot.water}, {m.spot.manner}. {m.spot.note}
          </p>
        </div>
        {spot.error && <p role="alert">{spot.error.message}</p>}
        {spot.data && m.frame && (
          <Section
            key={m.spot.id}
            spot={spot.data}
            frame={m.frame}
            turns={ribbon?.turns ?? []}
            range={ribbon}
          />
        )}
      </div>
      <aside className="water-side">
        <section className="panel">
          <h2>{m.frame?.open ? 'You can get in and back' : 'Shut: you cannot get in and back'}</h2>
          <p className={m.frame?.open && closesSoon(ribbon?.windows ?? [], at) ? 'way caution' : 'way'}>
            {ribbon && m.frame ? wayInWords(ribbon.windows, at, zone) : ''}
          </p>
          {(state.data?.cautions ?? []).map((c) => (
            <p key={c} className="caution small">
              {c}
            </p>
          ))}
        </section>
        <section className="panel">
          <h2>Marks</h2>
          <table className="marks">
            <thead className="unseen">
              <tr>
                <th>Mark</th>
                <th>Depth now</th>
                <th>Worth a cast</th>
              </tr>
            </thead>
            <tbody>
              {ribbon?.marks.map((k, i) => {
                const depth = m.frame?.depths_m[i] ?? 0;
                return (
                  <tr key={k.id} data-mark={k.kind}>
                    <th scope="row">
                      {k.name}
                      <span className="quiet small"> {k.bottom}</span>
                    </th>
                    <td className="depth">{depth > 0 ? metres(depth) : 'dry'}</td>
                    <td className="quiet small when">
                      {markInWords(k.windows, at, zone)}
                      {m.frame?.breaks[i] && ', breaking'}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </section>
      </aside>
    </div>
  );
}

/** "0.34 m over the crest, 1.28 m at the edge". */
function headline(marks: { name: string; kind: string }[], depths: number[]): string {
  const told = ['crest', 'bar', 'edge', 'trough', 'piling'];
  const parts = marks
    .map((k, i) => ({ k, d: depths[i] ?? 0 }))
    .filter(({ k }) => told.includes(k.kind))
    .slice(0, 2)
    .map(({ k, d }) => {
      const name = k.name.toLowerCase();
      const over = k.kind === 'crest' || k.kind === 'bar';
      if (d <= 0) return `the ${name} is dry`;
      return `${metres(d)} ${over ? 'over' : k.kind === 'trough' ? 'in' : 'at'} the ${name}`;
    });
  const text = parts.join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
