import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type AheadWindow } from '../api/client';
import { keys } from '../api/keys';
import { Invented } from '../begin/Invented';
import { useMedia } from '../frame/fold';
import { useTitle } from '../frame/useTitle';
import { useMoment, usePlace } from '../moment/moment';
import { useAsking } from '../tie/asking';
import { AskFor } from './AskFor';
import { calendar, query, useAsked } from './asked';
import { DayPlan } from './DayPlan';
import { useHome } from './Home';
import { Fortnight } from './Fortnight';
import type { Row } from './fortnight';
import { HourOpened } from './HourOpened';
import { WindowList } from './WindowList';
import './ahead.css';
import { ahead as say } from '../words/ahead';
import { sentences } from '../words/joined';

/** So many windows are listed at first, and when one asks for more. */
const few = 12;
const many = 100;

/** The last of what was answered: what failed since leaves it on the page. */
function useLast<T>(now: T | undefined): T | undefined {
  const [last, setLast] = useState(now);
  if (now !== undefined && now !== last) setLast(now);
  return now ?? last;
}

/** When and where to go: what is on now, the fortnight at all of one's spots, and the windows in it. */
export default function AheadPage() {
  useTitle('Ahead');
  const here = usePlace();
  const moment = useMoment();
  const go = useNavigate();
  const wide = useMedia('(min-width: 701px)');
  const [asked, ask] = useAsked();
  const [, seek] = useAsking();
  const [home, setHome] = useHome();
  const [chosen, setChosen] = useState('');
  // The hour of the fortnight that was touched last; 0 for none.
  const [touched, touch] = useState(0);
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const data = useQuery({
    queryKey: [...keys.ahead, asked.along],
    queryFn: ({ signal }) => api.ahead(asked.along, signal),
    placeholderData: keepPreviousData,
    enabled: wide,
    staleTime: 10 * 60_000,
  });
  const [from] = useState(() => here.present().toISOString());
  const [most, setMost] = useState(few);
  const asking = query(asked, home, from, most);
  const windows = useQuery({
    queryKey: ['ahead-windows', asking],
    queryFn: ({ signal }) => api.aheadWindows(asking, signal),
    placeholderData: keepPreviousData,
    staleTime: 10 * 60_000,
  });
  const kinds = useMemo(() => [...new Set(here.spots.map((s) => s.place))].sort(), [here.spots]);
  const w = useLast(windows.data);
  const fortnight = useLast(data.data);
  const first = w?.first;
  const { choose } = here;
  const { moveTime } = moment;
  const at = Date.parse(moment.frame?.time ?? '') || 0;

  const take = useCallback(
    (k: AheadWindow) => {
      choose(k.spot_id);
      moveTime(new Date(Date.parse(k.best_from)));
      seek({ targets: [k.target], several: false });
    },
    [choose, moveTime, seek],
  );
  const toHour = useCallback(
    (row: Row, time: number) => {
      choose(row.spot_id);
      moveTime(new Date(time));
      touch(time);
    },
    [choose, moveTime],
  );
  const error = windows.error ?? data.error;
  if (!w || (wide && !fortnight))
    return (
      <div className="ahead">
        <h1 className="quiet">{error ? say.ahead : say.lookingOverTheComingDays}</h1>
        {error && <p role="alert">{error.message}</p>}
      </div>
    );
  const day = <DayPlan asked={asked} home={home} onHome={setHome} />;
  return (
    <div className="ahead">
      <Invented withBegin />
      <header className="ahead-now">
        <h1>{w.now}</h1>
        {first && (
          <p>
            <button
              className="act"
              onClick={() => {
                take(first);
                void go('/water');
              }}
            >
              {say.theWaterThere}
            </button>{' '}
            <button
              className="act"
              onClick={() => {
                take(first);
                void go('/tie-on');
              }}
            >
              {say.whatToTieOn2}
            </button>
          </p>
        )}
      </header>
      <AskFor
        asked={asked}
        targets={targets.data ?? []}
        places={kinds}
        home={home}
        onHome={setHome}
        narrow={!wide}
        onChange={ask}
      />
      {error && (
        <p role="alert" className="caution">
          {sentences(error.message, say.whatStandsIsOlder)}
        </p>
      )}
      <div className="ahead-two">
        {wide && fortnight && (
          <section aria-label={say.theFortnight}>
            <Fortnight
              data={fortnight}
              targets={asked.targets}
              chosen={here.spot.id}
              at={at}
              least={asked.least}
              onHour={toHour}
            />
            {touched > 0 && (
              <HourOpened
                data={fortnight}
                spot={here.spot.id}
                time={touched}
                targets={asked.targets}
                least={asked.least}
                along={asked.along}
              />
            )}
            {fortnight.bare.length > 0 && (
              <p className="quiet small">
                {say.nothingCanBeSaidOf(fortnight.bare.join(', '), fortnight.bare_of - fortnight.bare.length)}
              </p>
            )}
            {day}
          </section>
        )}
        <section aria-label={say.windows}>
          {w.windows.length > 0 ? (
            <WindowList
              windows={w.windows}
              found={w.found}
              onMore={() => setMost(many)}
              chosen={chosen}
              least={asked.least}
              along={asked.along}
              calendarOf={(k) => calendar(asking, { spot_id: k.spot_id, best_from: k.best_from })}
              onChoose={(k, key) => {
                setChosen(key === chosen ? '' : key);
                touch(0);
                take(k);
              }}
            />
          ) : (
            <p className="panel">{w.now}</p>
          )}
          {w.windows.length > 0 && (
            <p className="small">
              <Link to="/ahead/seasons">{say.seasons}</Link>
              {' · '}
              <a href={calendar(asking)} download="windows.ics">
                {say.theseAsACalendar}
              </a>
            </p>
          )}
          {!wide && day}
        </section>
      </div>
      <p className="quiet small">{say.whatAnHourIsWorth}</p>
    </div>
  );
}
