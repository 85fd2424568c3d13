import { useQuery } from '@tanstack/react-query';
import { api, type Choice, type Pick } from '../api/client';
import { factor, times } from '../format/measure';
import { Sketch } from './Sketch';
import { Whisker } from './Whisker';
import { tie as say } from '../words/tie';

/** A choice laid aside to be compared with another, or with another moment. */
export interface Aside {
  pick: Pick;
  says: string;
}

const shown = 10;

/** Two choices side by side, what differs most first. */
export function Compare(props: { a: Aside; b: Aside; onClose: () => void }) {
  const { a, b, onClose } = props;
  const q = useQuery({
    queryKey: ['compare-advice', a.pick, b.pick],
    queryFn: ({ signal }) => api.compareAdvice(a.pick, b.pick, signal),
    retry: false,
  });
  const differ = (q.data?.reasons ?? []).filter((r) => Math.abs(Math.log(r.a / r.b)) > 0.005);
  return (
    <section className="panel compare" aria-label={say.sideBySide}>
      <header>
        <h2>{q.data ? favours(q.data.ratio) : say.sideBySide}</h2>
        <button className="plain" onClick={onClose}>
          {say.close}
        </button>
      </header>
      {q.error && <p role="alert">{q.error.message}</p>}
      {q.data?.side && <Sketch className="place both" drawing={q.data.side} label={q.data.side.says} />}
      {q.data && (
        <table>
          <thead>
            <tr>
              <th scope="col">
                <span className="quiet small">{say.whatDiffers}</span>
              </th>
              <th scope="col">
                <Side choice={q.data.a} when={a.says} ink={q.data.side ? 'first' : undefined} />
              </th>
              <th scope="col">
                <Side choice={q.data.b} when={b.says} ink={q.data.side ? 'second' : undefined} />
              </th>
            </tr>
          </thead>
          <tbody>
            {differ.slice(0, shown).map((r) => (
              <tr key={r.rule}>
                <th scope="row">{r.says}</th>
                <td>{r.a === 1 ? '–' : factor(r.a)}</td>
                <td>{r.b === 1 ? '–' : factor(r.b)}</td>
              </tr>
            ))}
            {differ.length === 0 && (
              <tr>
                <td colSpan={3}>{say.nothingDiffers}</td>
              </tr>
            )}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** Which of two is better, and by how much. */
function favours(ratio: number): string {
  const by = Math.max(ratio, 1 / ratio);
  if (by < 1.03) return say.asGoodAsEven;
  return say.inFavourOfThe(times(by), ratio >= 1 ? 'first' : 'second');
}

function Side(props: { choice: Choice; when: string; ink?: 'first' | 'second' }) {
  const { choice, when, ink } = props;
  return (
    <>
      <b>
        {ink && <i className={`drawn-as ${ink}`} aria-hidden />}
        {choice.offering}
      </b>
      <span className="quiet small">
        {choice.mark}, {when}
      </span>
      <Whisker edge={choice.edge} low={choice.edge_low} high={choice.edge_high} chosen={false} width={170} />
    </>
  );
}
