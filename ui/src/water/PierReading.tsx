import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useSettled } from '../conditions/useSettled';
import { metres } from '../format/measure';
import { distance, number } from '../format/spoken';
import { useMoment, usePlace } from '../moment/moment';
import { water as say } from '../words/water';

/** What is under one's feet along a deck, and the depths to try in order. */
export function PierReading() {
  const here = usePlace();
  const moment = useMoment();
  const time = useSettled(moment.frame?.time, 120);
  const q = useQuery({
    queryKey: ['pier', here.spot.id, time],
    queryFn: ({ signal }) => api.pier(here.spot.id, time!, signal),
    enabled: !!time,
    placeholderData: keepPreviousData,
  });
  if (!q.data) return null;
  return (
    <section className="panel pier-reading">
      <h2>{say.readingThePier}</h2>
      <p className="quiet small">{q.data.says}</p>
      <table className="marks">
        <thead>
          <tr>
            <th>{say.underTheDeckAt}</th>
            <th>{say.deep}</th>
            <th>{say.tryInOrder}</th>
          </tr>
        </thead>
        <tbody>
          {q.data.under.map((u) => (
            <tr key={u.mark}>
              <th scope="row">
                {u.mark} <span className="quiet small">{say.out(distance(u.distance_m))}</span>
              </th>
              <td className="depth">{u.depth_m > 0 ? metres(u.depth_m) : say.dry}</td>
              <td className="try">{u.try_m.map((d) => number('depth', d, 1)).join(' · ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet small">{say.depthsFromTheSurfaceIn}</p>
    </section>
  );
}
