import { useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { Fault } from '../frame/Fault';
import { Wide } from '../frame/Wide';
import { show } from '../format/spoken';
import { clock, day } from '../format/time';
import { usePlace } from '../moment/moment';
import { law as say } from '../words/law';
import { useHeld } from './useHeld';

/** Who is aboard beside oneself, kept for the day on this device. */
const crew = 'greypebble.aboard';

/** The card of the day: everybody's fish kept, what is left, what is owed, what was put back. */
export function DayCard() {
  const here = usePlace();
  const held = useHeld();
  const [names, setNames] = useState(() => localStorage.getItem(crew) ?? '');
  const aboard = names
    .split(',')
    .map((n) => n.trim())
    .filter(Boolean);
  const body = {
    spot_id: held.spot ?? here.spot.id,
    aboard,
    kept: held.kept,
    released: held.released,
    ...(held.sought ? { species: [held.sought] } : {}),
  };
  const card = useQuery({
    queryKey: ['day-card', body],
    queryFn: ({ signal }) => api.dayCard(body, signal),
    placeholderData: (before) => before,
    retry: false,
  });
  const c = card.data;
  const zone = here.spots.find((s) => s.id === body.spot_id)?.time_zone ?? 'UTC';
  const fish = (f: { species: string; length_m?: number; angler?: string; time: string }, i: number) => (
    <tr key={i}>
      <td>{f.angler ?? say.you}</td>
      <td>{f.species}</td>
      <td>{f.length_m ? show('fish_length', f.length_m) : say.notMeasured}</td>
      <td>{clock(f.time, zone)}</td>
    </tr>
  );
  return (
    <section className="panel day-card">
      <h1>{c ? say.cardOf(day(c.day, 'UTC'), c.spot) : say.dayCard}</h1>
      <label className="no-print">
        {say.aboard}
        <Input
          aria-label={say.aboard}
          placeholder={say.aboardHint}
          value={names}
          onChange={(e) => {
            setNames(e.target.value);
            localStorage.setItem(crew, e.target.value);
          }}
        />
      </label>
      <Fault of={[card]} />
      {c && (
        <>
          <h2>{say.left}</h2>
          {c.limits.length === 0 && <p className="quiet">{say.noFishYet}</p>}
          {c.limits.map((l) => (
            <div key={l.species} className="day-limit">
              <b>{l.species}</b>
              {l.bag ? (
                <ul>
                  {l.bag.people.map((p) => (
                    <li key={p.angler ?? ''}>
                      {p.angler ?? say.you} <b>{say.leftOf(p.left, p.of)}</b>
                    </li>
                  ))}
                  {l.bag.boat && (
                    <li>
                      {say.boat} <b>{say.leftOf(l.bag.boat.left, l.bag.boat.of)}</b>
                    </li>
                  )}
                  {l.bag.shared_with.length > 0 && <li className="quiet">{say.with(l.bag.shared_with)}</li>}
                </ul>
              ) : (
                <p className="quiet small">{l.says}</p>
              )}
              {l.duties.length > 0 && <p className="small">{l.duties.join(' ')}</p>}
            </div>
          ))}
          {(
            [
              [say.keptFish, c.kept],
              [say.putBack, c.released],
            ] as const
          ).map(([title, list]) => (
            <div key={title}>
              <h2>
                {title}: {list.length}
              </h2>
              {list.length > 0 && (
                <Wide label={title}>
                  <table>
                    <thead>
                      <tr>
                        <th scope="col">{say.who}</th>
                        <th scope="col">{say.which}</th>
                        <th scope="col">{say.length}</th>
                        <th scope="col">{say.at}</th>
                      </tr>
                    </thead>
                    <tbody>{list.map(fish)}</tbody>
                  </table>
                </Wide>
              )}
            </div>
          ))}
          <p className="quiet small">{say.askAuthority}</p>
          <Button className="no-print" onClick={() => window.print()}>
            {say.printIt}
          </Button>
        </>
      )}
    </section>
  );
}
