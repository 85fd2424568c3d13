import { distance } from '../format/spoken';
import type { BenchOut } from '../api/client';
import { bench as say } from '../words/bench';

/** A row of rods over the beach, nearest first. */
export function Rods({ rods, says, reach }: { rods: BenchOut<'rods'>['rods']; says: string; reach: number }) {
  return (
    <div className="rods">
      <ol>
        {[...rods]
          .sort((a, b) => a.cast_m - b.cast_m)
          .map((r) => (
            <li key={r.number}>
              <span>{say.rod(r.number)}</span>
              <i style={{ width: `${(70 * r.cast_m) / reach}%` }} />
              <b>{distance(r.cast_m)}</b> <span className="quiet">{r.over}</span>
            </li>
          ))}
      </ol>
      <p className="quiet">{says}</p>
    </div>
  );
}
