import { useMutation } from '@tanstack/react-query';
import { App, Button, Input, Select } from 'antd';
import { useState } from 'react';
import { api, type Playbook } from '../api/client';
import { useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { useLeaveGuard } from '../frame/unkept';
import { book as say } from '../words/book';
import { allOf, anyOf } from '../words/joined';

interface Row {
  of: string;
  above: string;
  below: string;
  any: string[];
}

const blank: Row = { of: '', above: '', below: '', any: [] };

/** An id from what a rule says: small letters, digits, hyphens. */
export const idFrom = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50);

/** The sentence a rule makes, as far as it is written. */
export function sentence(r: {
  says: string;
  effect: string;
  certainty: string;
  targets: string[];
  rows: { of: string; above: string; below: string; any: string[] }[];
}): string {
  const when = r.rows
    .filter((k) => k.of)
    .map((k) =>
      k.any.length > 0
        ? say.is3(k.of, anyOf(k.any))
        : allOf(
            [k.above && say.isAbove(k.of, k.above), k.below && say.isBelow(k.of, k.below)].filter(
              (w) => w !== '',
            ),
          ) || say.is4(k.of),
    );
  const whom = r.targets.length > 0 ? allOf(r.targets) : say.everyTarget;
  return say.aForWhen(r.says.trim() || '…', r.effect, r.certainty, whom, allOf(when) || '…');
}

/** A rule the angler writes: what it says, how strongly, and when it holds. */
export function OwnRule({ book, onDone }: { book: Playbook; onDone: () => void }) {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [says, setSays] = useState('');
  const [family, setFamily] = useState('mark');
  const [effect, setEffect] = useState('clear plus');
  const [certainty, setCertainty] = useState('usual');
  const [targets, setTargets] = useState<string[]>([]);
  const [rows, setRows] = useState<Row[]>([blank]);
  const { letGo, leave } = useLeaveGuard(says !== '' || rows.some((r) => r.of !== ''));
  const vocabulary = (of: string) => book.vocabularies.find((v) => v.name === of);
  const put = useMutation({
    mutationFn: () =>
      api.putOwnRule(idFrom(says), {
        says,
        family,
        effect,
        certainty,
        targets,
        when: rows
          .filter((r) => r.of)
          .map((r) => {
            const v = vocabulary(r.of)!;
            if (v.words.length > 0) return { of: r.of, any: r.any };
            const unit = v.unit ?? '';
            const q = (t: string) => (t === '' ? undefined : /[a-z°%]/i.test(t) ? t : `${t} ${unit}`);
            // It fades over a fifth of the range, or of the limit.
            const at = Math.abs(Number.parseFloat(r.above || r.below)) || 1;
            const wide =
              r.above && r.below ? Math.abs(Number.parseFloat(r.below) - Number.parseFloat(r.above)) : at;
            return {
              of: r.of,
              above: q(r.above),
              below: q(r.below),
              soft: `${(wide / 5).toPrecision(2)} ${unit}`,
            };
          }),
      }),
    onSuccess: (r) => {
      letGo();
      void invalidate('playbook');
      if (r.findings.length > 0) void message.warning(say.keptBut(r.findings.join('; ')), 8);
      else void message.success(say.yourRuleIsInThe);
      onDone();
    },
  });
  const words = (list: string[]) => list.map((v) => ({ value: v, label: v.replaceAll('_', ' ') }));
  const change = (i: number, part: Partial<Row>) =>
    setRows(rows.map((r, k) => (k === i ? { ...r, ...part } : r)));
  return (
    <div className="form own-rule">
      <label>
        {say.whatItSays}
        <Input
          value={says}
          maxLength={120}
          onChange={(e) => setSays(e.target.value)}
          placeholder={say.underTheOldPostOn}
        />
      </label>
      <div className="form-row">
        <label>
          {say.about}
          <Select aria-label={say.about} value={family} onChange={setFamily} options={words(book.families)} />
        </label>
        <label>
          {say.howStrong}
          <Select
            aria-label={say.howStrong}
            value={effect}
            onChange={setEffect}
            options={words(book.effects)}
          />
        </label>
        <label>
          {say.howSure}
          <Select
            aria-label={say.howSure}
            value={certainty}
            onChange={setCertainty}
            options={words(book.certainties)}
          />
        </label>
      </div>
      <label>
        {say.forNoneAll}
        <Select
          aria-label={say.forWhichTargets}
          mode="multiple"
          value={targets}
          onChange={setTargets}
          showSearch={{ optionFilterProp: 'label' }}
          options={book.targets.map((t) => ({ value: t.id, label: t.name }))}
        />
      </label>
      {rows.map((r, i) => {
        const v = vocabulary(r.of);
        return (
          <div className="form-row" key={i}>
            <label>
              {i === 0 ? say.when : say.and3}
              <Select
                aria-label={say.condition(i + 1)}
                showSearch
                value={r.of || undefined}
                onChange={(of) => change(i, { ...blank, of })}
                options={words(book.vocabularies.map((k) => k.name))}
              />
            </label>
            {v && v.words.length > 0 && (
              <label className="wide">
                {say.is}
                <Select
                  aria-label={say.conditionIs(i + 1)}
                  mode="multiple"
                  value={r.any}
                  onChange={(any) => change(i, { any })}
                  options={words(v.words)}
                />
              </label>
            )}
            {v && v.words.length === 0 && (
              <>
                <label>
                  {say.above}
                  <Input
                    value={r.above}
                    suffix={v.unit}
                    onChange={(e) => change(i, { above: e.target.value })}
                  />
                </label>
                <label>
                  {say.below}
                  <Input
                    value={r.below}
                    suffix={v.unit}
                    onChange={(e) => change(i, { below: e.target.value })}
                  />
                </label>
              </>
            )}
          </div>
        );
      })}
      <p className="rule-sentence" role="status">
        {sentence({
          says,
          effect,
          certainty,
          targets: targets.map((t) => book.targets.find((k) => k.id === t)?.name ?? t),
          rows,
        })}
      </p>
      <Fault of={[put]} />
      <div className="form-acts">
        <Button onClick={() => setRows([...rows, blank])}>{say.andAnotherCondition}</Button>
        <Button
          type="primary"
          disabled={!says.trim() || !rows.some((r) => r.of)}
          onClick={() => put.mutate()}
        >
          {say.addTheRule}
        </Button>
        <Button
          type="text"
          onClick={() => {
            leave(onDone);
          }}
        >
          {say.cancel}
        </Button>
      </div>
    </div>
  );
}
