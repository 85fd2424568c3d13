import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, type Playbook, type Rule } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { factor } from '../format/measure';
import { ChooseFile } from '../file/ChooseFile';
import { useUndo } from '../frame/useUndo';
import { OwnRule } from './OwnRule';
import { SetAside } from './SetAside';
import { book as say } from '../words/book';
import { sentences } from '../words/joined';

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
      const what = say.targetsAndRulesAreYours(r.targets.length, r.rules.length);
      void message.success(r.findings.length > 0 ? say.but(what, r.findings.join('; ')) : what, 8);
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
      <h2>{say.thePlaybook}</h2>
      <p className="quiet">{say.rulesOfThumbTheirStrengths(rules.length)}</p>
      <SetAside list={book.data.set_aside} />
      <div className="rules-pick">
        <Input
          allowClear
          value={typed}
          aria-label={say.findARule}
          placeholder={say.findAmongRules(rules.length)}
          onChange={(e) => {
            setTyped(e.target.value);
            setQuery({});
          }}
        />
        <Select
          aria-label={say.rulesAbout}
          value={family}
          onChange={setFamily}
          options={[
            ...families.map((f) => ({ value: f, label: say.about2(f) })),
            { value: 'mine', label: say.changedByYou(mine.length) },
          ]}
        />
        <Select
          aria-label={say.rulesFor}
          value={target}
          onChange={setTarget}
          options={[
            { value: '', label: say.forEveryTarget },
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
        <div className="form-acts">
          <Button onClick={() => setWriting(true)}>{say.writeARuleOfYour}</Button>
          <ChooseFile
            says={say.bringAPlaybookFile}
            fault={bring.error?.message}
            accept=".yaml,.yml"
            onFile={(f) => void f.text().then((text) => bring.mutate(text))}
          />
          {book.data.rules.some((r) => r.own) && (
            <a className="act" href="/api/v1/interchange/playbook.yaml" download>
              {say.yoursAsAFile}
            </a>
          )}
        </div>
      )}
      {one && (
        <p className="small">
          {say.oneRule}{' '}
          <button className="plain" onClick={() => setQuery({})}>
            {say.allOfThem}
          </button>
        </p>
      )}
      <ul className="rules-list">
        {shown.map((r) => (
          <RuleRow key={r.id} rule={r} book={book.data} open={r.id === one} />
        ))}
        {shown.length === 0 && <li className="quiet">{say.noRuleSpeaksOfThat}</li>}
        {of.length > mostShown && (
          <li className="quiet small">{say.andMoreSayMoreOf(of.length - mostShown)}</li>
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
      undo(say.yourRule, () => api.importOwn(source).then(() => invalidate('playbook')));
    },
  });
  const now = { off: r.off, effect: r.effect, certainty: r.certainty };
  const words = (list: string[]) => list.map((v) => ({ value: v, label: v }));
  return (
    <li data-rule={r.id}>
      <details open={open || undefined}>
        <summary>
          <span className="rule-sign" aria-hidden="true">
            {r.factor >= 1 ? '+' : '−'}
          </span>
          <span className={r.off || r.silent ? 'off' : ''}>{r.says}</span>
          <span className={r.changed ? 'mine' : 'quiet'}>{r.off ? say.off : factor(r.factor)}</span>
        </summary>
        <div className="rule-edit">
          <Fault of={[put, remove]} />
          <Checkbox checked={!r.off} onChange={(e) => put.mutate({ ...now, off: !e.target.checked })}>
            {say.iBelieveIt}
          </Checkbox>
          <Select
            aria-label={say.strengthOf(r.id)}
            value={r.effect}
            disabled={r.off}
            onChange={(effect) => put.mutate({ ...now, effect })}
            options={words(book.effects)}
            popupMatchSelectWidth={false}
          />
          <Select
            aria-label={say.certaintyOf(r.id)}
            value={r.certainty}
            disabled={r.off}
            onChange={(certainty) => put.mutate({ ...now, certainty })}
            options={words(book.certainties)}
            popupMatchSelectWidth={false}
          />
          {r.own ? (
            <Button onClick={() => remove.mutate()}>{say.takeItOut}</Button>
          ) : (
            r.changed && <Button onClick={() => put.mutate({})}>{say.asThePlaybookHasIt}</Button>
          )}
          <p className="quiet small">
            {sentences(
              r.own ? say.youWroteIt : say.thePlaybook2(r.built_effect, r.built_certainty, r.origin, r.idea),
              r.school && say.anglersDisagree(r.school),
              r.silent && say.youTakeAnotherSideSo,
              r.targets.length > 0 && say.speaksOf(r.targets.join(', ')),
            )}
          </p>
        </div>
      </details>
    </li>
  );
}
