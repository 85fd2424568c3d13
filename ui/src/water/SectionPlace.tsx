import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../api/client';
import { useSpotState } from '../conditions/useSpotState';
import { metres } from '../format/measure';
import { useGoing, useMoment, usePlace } from '../moment/moment';
import { logWords } from './LogDots';
import { Marks } from './Marks';
import { PierReading } from './PierReading';
import { Section } from './Section';
import { Shelter } from './Shelter';
import { SurfReading } from './SurfReading';
import { Toggle } from './Toggle';
import { Way } from './Way';
import { water as say } from '../words/water';

/** The chosen spot from the side, when one can be there, and what lies where. */
export function SectionPlace({ onMap }: { onMap: () => void }) {
  const here = usePlace();
  const moment = useMoment();
  const spot = useQuery({ queryKey: ['spot', here.spot.id], queryFn: () => api.spot(here.spot.id) });
  const state = useSpotState();
  const going = useGoing();
  const [withLog, setWithLog] = useState(false);
  const log = useQuery({
    queryKey: ['spells', 'here', here.spot.id],
    queryFn: () => api.spells({ spot_id: here.spot.id, most: 200 }),
    enabled: withLog,
  });
  const answered = going.visits.length > 0 || going.why !== undefined;
  // All at once: what came later would move what is already read.
  const ready = moment.frame && (spot.data ?? spot.error) && (state.data ?? state.error) && answered;
  if (!ready) return <p className="quiet">{say.oneMoment}</p>;
  return (
    <div className="water-two">
      <div className="water-draw">
        {spot.error && <p role="alert">{spot.error.message}</p>}
        {spot.data && moment.frame && spot.data.section.length > 1 && (
          <Section
            key={here.spot.id}
            spot={spot.data}
            frame={moment.frame}
            turns={moment.ribbon?.turns ?? []}
            range={moment.ribbon}
            {...(withLog && log.data ? { log: log.data.spells } : {})}
          />
        )}
        {spot.data && spot.data.section.length > 1 && (
          <div className="section-log">
            <Toggle on={withLog} onChange={setWithLog}>
              {say.log.here}
            </Toggle>
            {withLog && log.data && (
              <ul className="quiet small">
                {log.data.total === 0 && <li>{say.log.nothing}</li>}
                {logWords(log.data.spells, metres).map((w) => (
                  <li key={w.mark}>
                    <b>{w.mark}</b>: {w.says}
                  </li>
                ))}
              </ul>
            )}
            {log.error && <p role="alert">{log.error.message}</p>}
          </div>
        )}
        {spot.data && spot.data.section.length < 2 && (
          <div className="panel no-section">
            <h2>{say.noSectionYet}</h2>
            <p>{say.aSectionShowsHowDeep}</p>
            <Link to={`/water/edit/${here.spot.id}`}>
              <Button type="primary">{say.drawTheSection}</Button>
            </Link>{' '}
            <Button onClick={onMap}>{say.toTheMap}</Button>
          </div>
        )}
      </div>
      <aside className="water-side">
        <section className="panel">
          <h2>{moment.frame?.way_title}</h2>
          <p className={moment.frame?.closing ? 'way caution' : 'way'}>{moment.frame?.way}</p>
          {(state.data?.cautions ?? []).map((c) => (
            <p key={c} className="caution small">
              {c}
            </p>
          ))}
          <Way />
        </section>
        <Marks />
        {spot.data?.reads.includes('surf') && <SurfReading />}
        {spot.data?.reads.includes('pier') && <PierReading />}
        <Shelter />
        <p>
          <Link to={`/water/edit/${here.spot.id}`}>{say.change(here.spot.name)}</Link>
        </p>
      </aside>
    </div>
  );
}
