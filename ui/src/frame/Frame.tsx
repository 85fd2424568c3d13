import { Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { ConditionStrip } from '../conditions/ConditionStrip';
import { PostOffice } from '../device/PostOffice';
import { EntryContext, type Entry, type OnScreen } from '../entry/entry';
import { usePlace } from '../moment/moment';
import { typing } from '../moment/typing';
import { FoldedRibbon } from '../ribbon/FoldedRibbon';
import { Ribbon } from '../ribbon/Ribbon';
import { Day } from './Day';
import { MishapsSaid } from './Mishap';
import { Signal } from './Signal';
import { SpotSelect } from './SpotSelect';
import { momentMatters, useFold } from './fold';
import { page } from './page';
import { usePageTop } from './usePageTop';
import './frame.css';
import { frame as say } from '../words/frame';

/** Not of the first load: who opens the program wants to see, before they log. */
const QuickEntry = page(() => import('../entry/QuickEntry'));

const places = [
  { to: '/ahead', name: say.ahead },
  { to: '/water', name: say.water },
  { to: '/tie-on', name: say.tieOn },
  { to: '/fish', name: say.fish },
  { to: '/back', name: say.back },
];

/** The five places, in the order of the day, with the ribbon along the foot. */
export function Frame() {
  const here = usePlace();
  const ribbon = momentMatters(useLocation().pathname);
  const fold = useFold();
  const top = usePageTop<HTMLElement>();
  const [entry, setEntry] = useState<Entry | null>(null);
  /** Once asked for it stays, so that it can close as it opened. */
  const [asked, setAsked] = useState(false);

  const onScreen = useRef<OnScreen | undefined>(undefined);

  const entries = useMemo(
    () => ({
      open: (e: Entry) => {
        setAsked(true);
        setEntry(e.spell ? e : { ...onScreen.current, ...e });
      },
      show: (now: OnScreen | undefined) => {
        onScreen.current = now;
      },
    }),
    [],
  );

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (typing(e)) return;
      if (e.key === 'c' || e.key === 'b') {
        e.preventDefault();
        entries.open({ kind: e.key === 'c' ? 'catch' : 'blank' });
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [entries]);

  return (
    <PostOffice>
      <EntryContext value={entries}>
        <div className={fold.short ? 'frame short' : 'frame'}>
          <a className="skip" href="#main">
            {say.toThePageItself}
          </a>
          <nav className="rail" aria-label={say.places}>
            <div className="rail-name">
              {say.grey}
              <br />
              {say.pebble}
            </div>
            <div className="rail-places">
              {places.map((p) => (
                <NavLink key={p.to} to={p.to}>
                  {p.name}
                </NavLink>
              ))}
            </div>
            <NavLink className="rail-setup" to="/set-up">
              {say.setUp}
            </NavLink>
            <div className="rail-log">
              <button onClick={() => entries.open({ kind: 'catch' })} title={say.logACatchC}>
                {say.catchWord}
              </button>
              <button onClick={() => entries.open({ kind: 'blank' })} title={say.logABlankB}>
                {say.blank}
              </button>
            </div>
          </nav>
          <header className="head">
            <SpotSelect spots={here.spots} chosen={here.spot.id} onChoose={here.choose} />
            {ribbon && <Day />}
            {ribbon && (
              <MishapsSaid part>
                <ConditionStrip />
              </MishapsSaid>
            )}
            <Signal />
            <MishapsSaid part>
              <Suspense>{asked && <QuickEntry entry={entry} onClose={() => setEntry(null)} />}</Suspense>
            </MishapsSaid>
          </header>
          {/* It scrolls, and must do so by the keyboard alone. */}
          {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
          <main className="main" id="main" tabIndex={0} {...top}>
            <MishapsSaid>
              <Outlet />
            </MishapsSaid>
          </main>
          {ribbon && (
            <footer className="foot">
              <MishapsSaid part>
                {fold.folded ? (
                  <FoldedRibbon onOpen={fold.toggle} />
                ) : (
                  <Ribbon onFold={fold.can ? fold.toggle : undefined} />
                )}
              </MishapsSaid>
            </footer>
          )}
        </div>
      </EntryContext>
    </PostOffice>
  );
}
