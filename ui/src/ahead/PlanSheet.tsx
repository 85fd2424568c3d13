import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import { api, type PlanSheet as SheetData } from '../api/client';
import { depth } from '../format/spoken';
import { clock, day } from '../format/time';
import { Sketch } from '../tie/Sketch';
import { alone, fileName, keepFile } from './keep';
import { ahead as say } from '../words/ahead';
import { sentences } from '../words/joined';

/** One page of a day to print or to have without a signal. */
export function PlanSheet({ id }: { id: string }) {
  const page = useRef<HTMLElement>(null);
  const q = useQuery({ queryKey: ['plan-sheet', id], queryFn: () => api.planSheet(id) });
  if (q.error) return <p role="alert">{q.error.message}</p>;
  if (!q.data) return <p className="panel quiet">{say.writingTheSheet}</p>;
  const s = q.data;
  const at = (t: string) => clock(t, s.time_zone);
  return (
    <article ref={page} className="panel day-sheet" aria-label={say.theSheet}>
      <header>
        <h2>{s.name}</h2>
        <p>
          {day(s.leave_home, s.time_zone)}: {s.says}
        </p>
        <p className="quiet">{s.sun.map((k) => `${k.says} ${at(k.time)}`).join(' · ')}</p>
      </header>
      {(s.cautions.length > 0 || s.against.length > 0) && (
        <section className="day-sheet-cautions">
          <h3>{say.firstOfAll}</h3>
          <ul>
            {s.against.map((a) => (
              <li key={a}>
                <b>{a}</b>
              </li>
            ))}
            {s.cautions.map((c) => (
              <li key={c.says} className={c.severity === 'do not' ? 'caution' : undefined}>
                {c.says}
              </li>
            ))}
          </ul>
        </section>
      )}
      <ol className="day-stops">
        {s.stops.map((k) => (
          <Stop key={k.spot_id + k.arrive} stop={k} zone={k.time_zone} />
        ))}
      </ol>
      <div className="day-sheet-lists">
        <Things title={say.bring} list={s.bring} none={say.nothingOfYourKit} />
        <Things title={say.toBuyOrTie} list={s.missing} none={say.nothingIsMissing} />
        {s.bait.length > 0 && <Things title={say.bait} list={s.bait} />}
        {s.bylaws.length > 0 && <Things title={say.bylaws} list={s.bylaws} />}
        <Things title={say.hygiene} list={s.hygiene} />
      </div>
      <Tell text={s.tell} />
      <p className="quiet small">{say.theSheetIsWorkedOut}</p>
      <Button
        size="small"
        onClick={() => keepFile(fileName(s.name, 'html'), alone(page.current!, s.name), 'text/html')}
      >
        {say.keepTheSheet}
      </Button>
    </article>
  );
}

function Stop({ stop: k, zone }: { stop: SheetData['stops'][number]; zone: string }) {
  return (
    <li>
      <div className="day-stop-text">
        <h3>{k.says}</h3>
        <p>
          {say.levels(depth(k.arrive_m), depth(k.leave_m))}{' '}
          {k.turns.map((t) => say.turn(t.kind === 'high', clock(t.time, zone), depth(t.height_m))).join(', ')}
          .
        </p>
        {k.way && (
          <p>
            <b>{k.way}</b>
          </p>
        )}
        {k.against.map((a) => (
          <p key={a} className="caution">
            {a}
          </p>
        ))}
        {(k.fee || k.parking) && (
          <p>{sentences(k.fee && say.feeOf(k.fee), k.parking && say.parkingAt(k.parking))}</p>
        )}
        {k.hazards && <p>{k.hazards}</p>}
        <p className="quiet">{k.weather.join(', ')}</p>
        {k.spoilt.length > 0 && <p>{sentences(say.spoiltBy, ...k.spoilt)}</p>}
        {k.tie && (
          <>
            <p>
              <b>{k.tie.says}</b>
            </p>
            <p>{k.tie.retrieve}</p>
            <p className="quiet">
              {k.tie.bite} {k.tie.handling}
            </p>
          </>
        )}
      </div>
      {k.tie?.drawing && <Sketch drawing={k.tie.drawing} label={say.rigDrawn(k.tie.rig)} />}
    </li>
  );
}

function Things({ title, list, none }: { title: string; list: string[]; none?: string }) {
  return (
    <section>
      <h3>{title}</h3>
      {list.length === 0 ? (
        <p className="quiet">{none}</p>
      ) : (
        <ul>
          {list.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** A plain text for whoever is told where one goes, to copy or to share. */
function Tell({ text }: { text: string }) {
  const [copied, setCopied] = useState(false);
  const share = async () => {
    if (navigator.share) return navigator.share({ text }).catch(() => undefined);
    await navigator.clipboard.writeText(text);
    setCopied(true);
  };
  return (
    <section className="day-tell">
      <h3>{say.forWhoeverIsTold}</h3>
      <pre>{text}</pre>
      <Button size="small" onClick={() => void share()}>
        {copied ? say.copied : say.shareThis}
      </Button>
    </section>
  );
}
