import { useQuery } from '@tanstack/react-query';
import { api, type Frame } from '../api/client';
import { useSpotState } from '../conditions/useSpotState';
import { fixed, metres } from '../format/measure';
import { useMoment } from '../moment/moment';
import { Section } from './Section';
import { markInWords, wayInWords } from './windows';
import './water.css';

const surfaces: Record<Frame['surface'], string> = {
  glassy: 'glassy water',
  ripple: 'a ripple on the water',
  chop: 'a chop on the water',
  rough: 'rough water',
};
const celsius = (c?: number | null) => (c === null || c === undefined ? '' : `${fixed(c, 1)}°`);

/** How hard the tide runs, where something is known of it. */
const running = (ms?: number) =>
  ms === undefined ? '' : `, the tide running ${ms >= 0 ? 'in' : 'out'} at ${fixed(Math.abs(ms), 1)} m/s`;

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
          <h1>{m.frame?.says ?? m.spot.name}</h1>
          <p className="quiet">
            {m.spot.place}, {m.spot.water}, {m.spot.manner}. {m.spot.note}
          </p>
          {m.frame && (
            <p className="quiet surface-says">
              {m.frame.breaker_m > 0.1 ? 'Between the breakers: ' : ''}
              {surfaces[m.frame.surface]}
              {running(m.frame.current_ms)}.
            </p>
          )}
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
          <p className={m.frame?.closing ? 'way caution' : 'way'}>
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
                <th>Warmth</th>
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
                    <td className="quiet small warm">{celsius(m.frame?.temps_c[i])}</td>
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
