import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../api/client';
import { law as say } from '../words/law';

type Found = Schemas['FoundOut'];
/** So many gaps are shown before they are asked for. */
const few = 4;

/** What a check found among the rules kept. */
export function Check() {
  const check = useQuery({ queryKey: ['bylaw-check'], queryFn: ({ signal }) => api.checkBylaws({}, signal) });
  if (!check.data) return null;
  return (
    <section className="panel">
      <h2>{say.looked}</h2>
      {check.data.found.length === 0 ? <p>{say.nothingWrong}</p> : <FoundList found={check.data.found} />}
    </section>
  );
}

/** Findings by their grade, the gravest first. */
export function FoundList({ found }: { found: Found[] }) {
  const [all, setAll] = useState(false);
  return (
    <div className="bylaw-found">
      {(['fault', 'remark', 'gap'] as const).map((grade) => {
        const of = found.filter((f) => f.grade === grade);
        const shown = all || grade !== 'gap' ? of : of.slice(0, few);
        return (
          of.length > 0 && (
            <div key={grade}>
              <h3>{say.grades[grade]}</h3>
              <ul>
                {shown.map((f, i) => (
                  <li key={i}>
                    {f.line !== undefined && <b>{say.line(f.line)}: </b>}
                    {f.rule && <span className="quiet">{f.rule} </span>}
                    {f.says}
                  </li>
                ))}
              </ul>
              {shown.length < of.length && (
                <button className="plain small" onClick={() => setAll(true)}>
                  {say.moreGaps(of.length - shown.length)}
                </button>
              )}
            </div>
          )
        );
      })}
    </div>
  );
}
