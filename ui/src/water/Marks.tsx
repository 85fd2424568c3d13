import { number } from '../format/spoken';
import { metres } from '../format/measure';
import { useMoment } from '../moment/moment';
import { water as say } from '../words/water';

const celsius = (c?: number | null) =>
  c === null || c === undefined ? '' : `${number('temperature', c, 1)}°`;

/** Every mark of the spot: how deep it is now, how warm, when it is worth a cast, and what was learned there. */
export function Marks() {
  const moment = useMoment();
  return (
    <section className="panel">
      <h2>{say.marks}</h2>
      {moment.ribbon?.marks.length === 0 && <p className="quiet">{say.noneYetAddEdgesHoles}</p>}
      <table className="marks">
        <thead className="unseen">
          <tr>
            <th>{say.mark}</th>
            <th>{say.depthNow}</th>
            <th>{say.warmth}</th>
            <th>{say.worthACast}</th>
          </tr>
        </thead>
        <tbody>
          {moment.ribbon?.marks.map((k, i) => {
            const depth = moment.frame?.depths_m[i] ?? 0;
            return (
              <tr key={k.id} data-mark={k.kind}>
                <th scope="row">
                  {k.snag && (
                    <span className="snag" title={say.catchesLine}>
                      ×{' '}
                    </span>
                  )}
                  {k.name}
                  <span className="quiet small"> {k.bottom}</span>
                  {k.note && <span className="quiet small mark-note">{k.note}</span>}
                </th>
                <td className="depth">{depth > 0 ? metres(depth) : say.dry}</td>
                <td className="quiet small warm">{celsius(moment.frame?.temps_c[i])}</td>
                <td className="quiet small when">
                  {[moment.frame?.marks_say[i], moment.frame?.breaks[i] && say.breaking]
                    .filter(Boolean)
                    .join(', ')}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
