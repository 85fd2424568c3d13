import { unbroken } from '../format/measure';
import { Invented } from '../begin/Invented';
import { useTitle } from '../frame/useTitle';
import { show } from '../format/spoken';
import { Segmented } from 'antd';
import { Suspense, useState } from 'react';
import type { Frame } from '../api/client';
import { page } from '../frame/page';
import { useMoment, usePlace } from '../moment/moment';
import { SectionPlace } from './SectionPlace';
import './water.css';
import { water as say } from '../words/water';

const MapPlace = page(() => import('./MapPlace'));

const surfaces: Record<Frame['surface'], string> = {
  glassy: say.glassyWater,
  ripple: say.aRippleOnTheWater,
  chop: say.aChopOnTheWater,
  rough: say.roughWater,
};

/** How hard the tide runs, where something is known of it. */
const running = (ms?: number) =>
  ms === undefined
    ? undefined
    : { in: ms >= 0, says: Math.abs(ms) < 0.05 ? null : show('run', Math.abs(ms), 1) };

const viewKey = 'greypebble.water';
type View = 'Section' | 'Map';

/** The water: from the side at one spot, or from above. */
export default function WaterPage() {
  const here = usePlace();
  const moment = useMoment();
  const [view, setView] = useState<View>(() => (localStorage.getItem(viewKey) === 'Map' ? 'Map' : 'Section'));
  useTitle(view === 'Map' ? 'Map' : undefined, 'Water', here.spot.name);
  const show = (v: View) => {
    localStorage.setItem(viewKey, v);
    setView(v);
  };
  // What is known at once would only be moved by the rest; the map stays where it is.
  if (!moment.frame && view === 'Section')
    return (
      <div className="water">
        <h1 className="quiet">{here.spot.name}</h1>
      </div>
    );
  return (
    <div className="water" data-view={view}>
      <Invented withBegin />
      <div className="water-head">
        <div>
          <h1>{moment.frame ? unbroken(moment.frame.says) : here.spot.name}</h1>
          <p className="quiet">
            {here.spot.place}, {here.spot.water}, {here.spot.manner}.{' '}
            <span className="water-note">
              {here.spot.note}{' '}
              {moment.frame && (
                <span className="surface-says">
                  {say.theWaterNow(
                    surfaces[moment.frame.surface],
                    moment.frame.breaker_m > 0.1,
                    running(moment.frame.current_ms),
                  )}
                </span>
              )}
            </span>
          </p>
        </div>
        <Segmented<View>
          aria-label={say.view}
          value={view}
          onChange={show}
          options={[
            { value: 'Section', label: say.section },
            { value: 'Map', label: say.map },
          ]}
        />
      </div>
      {view === 'Map' ? (
        <Suspense fallback={<p className="quiet">{say.fetchingTheMap}</p>}>
          <MapPlace />
        </Suspense>
      ) : (
        <SectionPlace onMap={() => show('Map')} />
      )}
    </div>
  );
}
