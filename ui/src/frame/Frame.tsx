import { useEffect, useMemo, useState } from 'react';
import { NavLink, Outlet } from 'react-router';
import { ConditionStrip } from '../conditions/ConditionStrip';
import { QuickEntry } from '../entry/QuickEntry';
import { EntryContext, type Entry } from '../entry/entry';
import { clock, day } from '../format/time';
import { useMoment, usePlace } from '../moment/moment';
import { typing } from '../moment/typing';
import { Ribbon } from '../ribbon/Ribbon';
import { SpotSelect } from './SpotSelect';
import './frame.css';

const places = [
  { to: '/water', name: 'Water' },
  { to: '/tie-on', name: 'Tie on' },
  { to: '/back', name: 'Back' },
];

/** Those of the five places that do something yet, in the order of the day, with the ribbon along the foot. */
export function Frame() {
  const here = usePlace();
  const moment = useMoment();
  const [entry, setEntry] = useState<Entry | null>(null);

  const entries = useMemo(() => ({ open: setEntry }), []);

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (typing(e)) return;
      if (e.key === 'c' || e.key === 'b') {
        e.preventDefault();
        setEntry({ kind: e.key === 'c' ? 'catch' : 'blank' });
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  return (
    <EntryContext value={entries}>
      <div className="frame">
        <nav className="rail" aria-label="Places">
          <div className="rail-name">
            Grey
            <br />
            Pebble
          </div>
          <div className="rail-places">
            {places.map((p) => (
              <NavLink key={p.to} to={p.to}>
                {p.name}
              </NavLink>
            ))}
          </div>
          <NavLink className="rail-setup" to="/set-up">
            Set-up
          </NavLink>
          <div className="rail-log">
            <button onClick={() => setEntry({ kind: 'catch' })} title="Log a catch (c)">
              Catch
            </button>
            <button onClick={() => setEntry({ kind: 'blank' })} title="Log a blank (b)">
              Blank
            </button>
          </div>
        </nav>
        <header className="head">
          <SpotSelect spots={here.spots} chosen={here.spot.id} onChoose={here.choose} />
          <span className="head-moment">
            {moment.frame && (
              <>
                <span className="head-day">{day(moment.frame.time, here.spot.time_zone)},</span>{' '}
                <b>{clock(moment.frame.time, here.spot.time_zone)}</b>
              </>
            )}
          </span>
          <ConditionStrip />
        </header>
        {/* It scrolls, and must do so by the keyboard alone. */}
        {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
        <main className="main" tabIndex={0}>
          <Outlet />
        </main>
        <footer className="foot">
          <Ribbon />
        </footer>
      </div>
      <QuickEntry entry={entry} onClose={() => setEntry(null)} />
    </EntryContext>
  );
}
