import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, type Playbook, type Rule } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { factor } from '../format/measure';
import { ChooseFile } from './ChooseFile';
import { useUndo } from '../frame/useUndo';
import { OwnRule } from './OwnRule';
import { SetAside } from './SetAside';

/** The rules of thumb, by what they speak of; each can be switched off or given another strength. */
export function Rules() {
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook });
  const [query, setQuery] = useSearchParams();
  const one = query.get('rule') ?? '';
  const [typed, setTyped] = useState('');
  const [family, setFamily] = useState('flow');
  const [target, setTarget] = useState('');
  const [writing, setWriting] = useState(false);
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const bring = useMutation({
    mutationFn: api.importOwn,
    onSuccess: (r) => {
      void invalidate('playbook');
      const what = `${r.targets.length} targets and ${r.rules.length} rules are yours.`;
      void message.success(r.findings.length > 0 ? `${what} But: ${r.findings.join('; ')}` : what, 8);
    },
  });
  if (book.error)
    return (
      <section className="panel">
        <p role="alert">{book.error.message}</p>
      </section>
    );
  if (!book.data) return null;
  const { rules, targets } = book.data;
  const families = [...new Set(rules.map((r) => r.family))];
  const mine = rules.filter((r) => r.changed);
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const of = one
    ? rules.filter((r) => r.id === one)
    : words.length > 0
      ? rules.filter((r) =>
          words.every((w) => `${r.says} ${r.id} ${r.family} ${r.idea}`.toLowerCase().includes(w)),
        )
      : family === 'mine'
        ? mine
        : rules.filter((r) => r.family === family);
  const shown = of
    .filter((r) => !!one || !target || r.targets.length === 0 || r.targets.includes(target))
    .slice(0, mostShown);
  return (
    <section className="panel rules">
      <h2>The playbook</h2>
      <p className="quiet">
        {rules.length} rules of thumb. Their strengths are this program’s judgement, not measurements: switch
        off what you do not believe, or say how strongly you do. Your changes are yours alone and survive its
        updates.
      </p>
      <SetAside list={book.data.set_aside} />
      <div className="rules-pick">
        <Input
          allowClear
          value={typed}
          aria-label="Find a rule"
          placeholder={`Find among ${rules.length} rules`}
          onChange={(e) => {
            setTyped(e.target.value);
            setQuery({});
          }}
        />
        <Select
          aria-label="Rules about"
          value={family}
          onChange={setFamily}
          options={[
            ...families.map((f) => ({ value: f, label: `about ${f}` })),
            { value: 'mine', label: `changed by you (${mine.length})` },
          ]}
        />
        <Select
          aria-label="Rules for"
          value={target}
          onChange={setTarget}
          options={[
            { value: '', label: 'for every target' },
            ...targets.map((t) => ({ value: t.id, label: t.name })),
          ]}
        />
      </div>
      {writing ? (
        <OwnRule
          book={book.data}
          onDone={() => {
            setWriting(false);
            setFamily('mine');
          }}
        />
      ) : (
        <div className="kit-acts">
          <Button onClick={() => setWriting(true)}>Write a rule of your own</Button>
          <ChooseFile
            says="Bring a playbook file…"
            fault={bring.error?.message}
            accept=".yaml,.yml"
            onFile={(f) => void f.text().then((text) => bring.mutate(text))}
          />
          {book.data.rules.some((r) => r.own) && (
            <a className="act" href="/api/v1/interchange/playbook.yaml" download>
              Yours as a file
            </a>
          )}
        </div>
      )}
      {one && (
        <p className="small">
          One rule.{' '}
          <button className="plain" onClick={() => setQuery({})}>
            All of them
          </button>
        </p>
      )}
      <ul className="rules-list">
        {shown.map((r) => (
          <RuleRow key={r.id} rule={r} book={book.data} open={r.id === one} />
        ))}
        {shown.length === 0 && (
          <li className="quiet">No rule speaks of that. Try fewer letters, or another family.</li>
        )}
        {of.length > mostShown && (
          <li className="quiet small">and {of.length - mostShown} more; say more of it</li>
        )}
      </ul>
    </section>
  );
}

/** So many are listed at a time. */
const mostShown = 120;

function RuleRow({ rule: r, book, open }: { rule: Rule; book: Playbook; open: boolean }) {
  const invalidate = useInvalidate();
  const undo = useUndo();
  const put = useMutation({
    mutationFn: (c: { off?: boolean; effect?: string; certainty?: string }) => api.putRule(r.id, c),
    onSuccess: () => {
      void invalidate('playbook');
    },
  });
  const remove = useMutation({
    mutationFn: () => api.deleteOwnRule(r.id),
    onSuccess: ({ source }) => {
      void invalidate('playbook');
      undo('Your rule', () => api.importOwn(source).then(() => invalidate('playbook')));
    },
  });
  const now = { off: r.off, effect: r.effect, certainty: r.certainty };
  const words = (list: string[]) => list.map((v) => ({ value: v, label: v }));
  return (
    <li data-rule={r.id}>
      <details open={open || undefined}>
        <summary>
          <span className="sign" aria-hidden="true">
            {r.factor >= 1 ? '+' : '−'}
          </span>
          <span className={r.off || r.silent ? 'off' : ''}>{r.says}</span>
          <span className={r.changed ? 'mine' : 'quiet'}>{r.off ? 'off' : factor(r.factor)}</span>
        </summary>
        <div className="rule-edit">
          <Fault of={[put, remove]} />
          <Checkbox checked={!r.off} onChange={(e) => put.mutate({ ...now, off: !e.target.checked })}>
            I believe it
          </Checkbox>
          <Select
            aria-label={`Strength of ${r.id}`}
            value={r.effect}
            disabled={r.off}
            onChange={(effect) => put.mutate({ ...now, effect })}
            options={words(book.effects)}
            popupMatchSelectWidth={false}
          />
          <Select
            aria-label={`Certainty of ${r.id}`}
            value={r.certainty}
            disabled={r.off}
            onChange={(certainty) => put.mutate({ ...now, certainty })}
            options={words(book.certainties)}
            popupMatchSelectWidth={false}
          />
          {r.own ? (
            <Button onClick={() => remove.mutate()}>Take it out</Button>
          ) : (
            r.changed && <Button onClick={() => put.mutate({})}>As the playbook has it</Button>
          )}
          <p className="quiet small">
            {r.own
              ? 'You wrote it.'
              : `The playbook: ${r.built_effect}, ${r.built_certainty} (${r.origin}, ${r.idea}).`}
            {r.school && ` Anglers disagree. ${r.school}.`}
            {r.silent && ' You take another side, so it does not speak.'}
            {r.targets.length > 0 && ` Speaks of ${r.targets.join(', ')}.`}
          </p>
        </div>
      </details>
    </li>
  );
}
