import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { api } from '../api/client';
import { useSpotState } from '../conditions/useSpotState';
import { useMoment } from '../moment/moment';
import { Marks } from './Marks';
import { PierReading } from './PierReading';
import { Section } from './Section';
import { Shelter } from './Shelter';
import { SurfReading } from './SurfReading';
import { Way } from './Way';
import { wayInWords } from './windows';

/** The chosen spot from the side, when one can be there, and what lies where. */
export function SectionPlace({ onMap }: { onMap: () => void }) {
  const m = useMoment();
  const spot = useQuery({ queryKey: ['spot', m.spot.id], queryFn: () => api.spot(m.spot.id) });
  const state = useSpotState();
  const at = m.frame ? Date.parse(m.frame.time) : 0;
  return (
    <div className="water-two">
      <div className="water-draw">
        {spot.error && <p role="alert">{spot.error.message}</p>}
        {spot.data && m.frame && spot.data.section.length > 1 && (
          <Section
            key={m.spot.id}
            spot={spot.data}
            frame={m.frame}
            turns={m.ribbon?.turns ?? []}
            range={m.ribbon}
          />
        )}
        {spot.data && spot.data.section.length < 2 && (
          <div className="panel no-section">
            <h2>No section yet</h2>
            <p>
              A section shows how deep it is over each edge, bar and hole at any tide. Type or draw one, or
              cut it from the depths along a line on the map.
            </p>
            <Link to={`/water/edit/${m.spot.id}`}>
              <Button type="primary">Draw the section</Button>
            </Link>{' '}
            <Button onClick={onMap}>To the map</Button>
          </div>
        )}
      </div>
      <aside className="water-side">
        <section className="panel">
          <h2>{m.frame?.open ? 'You can get in and back' : 'Shut: you cannot get in and back'}</h2>
          <p className={m.frame?.closing ? 'way caution' : 'way'}>
            {m.ribbon && m.frame ? wayInWords(m.ribbon.windows, at, m.spot.time_zone) : ''}
          </p>
          {(state.data?.cautions ?? []).map((c) => (
            <p key={c} className="caution small">
              {c}
            </p>
          ))}
          <Way />
        </section>
        <Marks />
        {m.spot.place === 'surf beach' && <SurfReading />}
        {(m.spot.place === 'pier' || m.spot.place === 'bridge') && <PierReading />}
        <Shelter />
        <p>
          <Link to={`/water/edit/${m.spot.id}`}>Change {m.spot.name}</Link>
        </p>
      </aside>
    </div>
  );
}
