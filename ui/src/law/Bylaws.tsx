import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { api, type Bylaw, type Schemas } from '../api/client';
import { keys } from '../api/keys';
import { ChooseFile } from '../file/ChooseFile';
import { Fault } from '../frame/Fault';
import { useUndo } from '../frame/useUndo';
import { usePlace } from '../moment/moment';
import { law as say } from '../words/law';
import { useRulesChanged } from './useRulesChanged';
import { BylawForm } from './BylawForm';
import { Check, FoundList } from './Check';
import { Licences } from './Licences';
import './bylaws.css';

type Body = Schemas['BylawBody'];
export interface Editing {
  id: string;
  revision: number;
  body: Body;
}

/** Rules of authorities: entered, looked over, passed on. */
export function Bylaws() {
  const changed = useRulesChanged();
  const undo = useUndo();
  const here = usePlace();
  const list = useQuery({ queryKey: keys.bylaws, queryFn: api.bylaws });
  const [editing, setEditing] = useState<Editing>();
  const remove = useMutation({
    mutationFn: (b: Bylaw) => api.deleteBylaw(b.id),
    onSuccess: async (_, b) => {
      undo(say.removed, async () => {
        await api.putBylaw(v7(), bodyOf(b));
        await changed();
      });
      await changed();
    },
  });
  const again = useMutation({
    mutationFn: (id: string) => api.bylawAgain(id),
    onSuccess: (body) => setEditing({ id: v7(), revision: 0, body }),
  });
  const rules = list.data?.bylaws ?? [];
  const authorities = [...new Set(rules.map((r) => r.authority ?? ''))].toSorted((a, b) =>
    a.localeCompare(b),
  );
  return (
    <>
      <section className="panel">
        <h2>{say.bylaws}</h2>
        <p className="quiet">{say.whatTheyAre}</p>
        {!editing && (
          <Button
            className="bylaw-add"
            type="primary"
            onClick={() => setEditing({ id: v7(), revision: 0, body: blank(here.present()) })}
          >
            {say.add}
          </Button>
        )}
        {editing && (
          <BylawForm
            key={editing.id}
            editing={editing}
            known={[...new Set(rules.map((r) => r.authority ?? ''))].filter(Boolean)}
            onDone={() => setEditing(undefined)}
          />
        )}
        <Fault of={[list, remove, again]} />
        {list.data && rules.length === 0 && !editing && <p>{say.none}</p>}
        {authorities.map((a) => (
          <div key={a} className="bylaw-authority">
            <h3>{a || say.noAuthority}</h3>
            <ul>
              {rules
                .filter((r) => (r.authority ?? '') === a)
                .map((r) => (
                  <li key={r.id}>
                    <div>
                      {r.name && <b>{r.name} </b>}
                      {r.voluntary && <span className="bylaw-mark">{say.code}</span>}
                      {r.stale && <span className="bylaw-mark stale">{say.stale}</span>}
                      {!r.in_force && <span className="bylaw-mark">{say.notNow}</span>}
                      <p>{r.says}</p>
                      <p className="quiet small">{r.sourced}</p>
                    </div>
                    <div className="bylaw-acts">
                      <Button
                        size="small"
                        onClick={() => setEditing({ id: r.id, revision: r.revision, body: bodyOf(r) })}
                      >
                        {say.change}
                      </Button>
                      <Button size="small" onClick={() => again.mutate(r.id)}>
                        {say.copy}
                      </Button>
                      <Button size="small" onClick={() => remove.mutate(r)}>
                        {say.remove}
                      </Button>
                    </div>
                  </li>
                ))}
            </ul>
          </div>
        ))}
      </section>
      <Licences classes={[...new Set(rules.map((r) => r.licence ?? ''))].filter(Boolean)} />
      {rules.length > 0 && <Check />}
      <InAndOut />
    </>
  );
}

/** A rule begins of any fish, everywhere, all year, looked up today. */
const blank = (today: Date): Body => ({
  species: [],
  source: '',
  checked: today.toISOString().slice(0, 10),
});

/** What was entered of a rule, without what was worked out of it. */
function bodyOf(b: Bylaw): Body {
  const { id, says, when, sourced, in_force, stale, revision, ...body } = b;
  return body;
}

function InAndOut() {
  const changed = useRulesChanged();
  const { message } = App.useApp();
  const [text, setText] = useState('');
  const take = useMutation({
    mutationFn: ({ raw, preview }: { raw: string; preview: boolean }) => api.importBylaws(raw, preview),
    onSuccess: async (out) => {
      if (!out.kept) return;
      setText('');
      void message.success(say.areKept);
      await changed();
    },
  });
  const would = take.data && !take.data.kept && text ? take.data : undefined;
  return (
    <section className="panel">
      <h2>{say.inAndOut}</h2>
      <p className="quiet">{say.inAndOutSays}</p>
      <p>
        <a href="/api/v1/interchange/bylaws.yaml" download>
          {say.asYaml}
        </a>{' '}
        ·{' '}
        <a href="/api/v1/interchange/bylaws.csv" download>
          {say.asCsv}
        </a>
      </p>
      <ChooseFile
        says={say.chooseFile}
        accept=".yaml,.yml,.csv,text/csv"
        {...(take.error ? { fault: take.error.message } : {})}
        onFile={(f) =>
          void f.text().then((raw) => {
            setText(raw);
            take.mutate({ raw, preview: true });
          })
        }
      />
      {would && (
        <>
          <p>{say.wouldKeep(would.added, would.renewed, would.same).join(', ')}.</p>
          <ul className="bylaw-would">
            {would.says.map((s, i) => (
              <li key={i}>{s}</li>
            ))}
          </ul>
          <FoundList found={would.found} />
          <div className="bylaw-acts">
            <Button
              type="primary"
              disabled={would.added + would.renewed === 0}
              onClick={() => take.mutate({ raw: text, preview: false })}
            >
              {say.keepThem}
            </Button>
            <Button onClick={() => setText('')}>{say.leaveThem}</Button>
          </div>
        </>
      )}
    </section>
  );
}
