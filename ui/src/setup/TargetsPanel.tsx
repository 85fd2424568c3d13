import { useAskFirst, useLeaveGuard } from '../frame/unkept';
import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Input, Select } from 'antd';
import { useState } from 'react';
import { api, type Playbook, type TargetBody, type TargetFull } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { NumberIn } from '../format/NumberField';
import { useUndo } from '../frame/useUndo';
import { idFrom } from './OwnRule';
import { book as say } from '../words/book';

/** The targets: what is said of each becomes rules; one may be changed, or copied under another name. */
export function TargetsPanel() {
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook });
  const [id, setId] = useState('red-drum');
  const askFirst = useAskFirst();
  if (!book.data) return null;
  const t = book.data.targets.find((k) => k.id === id) ?? book.data.targets[0]!;
  return (
    <section className="panel targets-panel">
      <h2>{say.targets}</h2>
      <p className="quiet">{say.whatIsSaidOfA}</p>
      <Select
        aria-label={say.targetToReadOrChange}
        showSearch={{ optionFilterProp: 'label' }}
        value={t.id}
        onChange={(other) => askFirst(() => setId(other))}
        options={book.data.targets.map((k) => ({ value: k.id, label: k.own ? say.yours(k.name) : k.name }))}
      />
      <TargetForm key={t.id + String(t.own)} target={t} book={book.data} onCopied={setId} />
    </section>
  );
}

function TargetForm(props: { target: TargetFull; book: Playbook; onCopied: (id: string) => void }) {
  const { target: t, book, onCopied } = props;
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const undo = useUndo();
  const { id: _id, own: _own, over: _over, ...first } = t;
  void [_id, _own, _over];
  const [begun] = useState<TargetBody>(first);
  const [b, set] = useState(begun);
  const { letGo } = useLeaveGuard(b !== begun);
  const fresh = () => {
    void invalidate('playbook');
  };
  const put = useMutation({
    mutationFn: (id: string) => api.putTarget(id, b),
    onSuccess: (r, id) => {
      letGo();
      fresh();
      if (r.findings.length > 0) void message.warning(say.keptBut(r.findings.join('; ')), 8);
      else void message.success(say.isKept(b.name));
      onCopied(id);
    },
  });
  const remove = useMutation({
    mutationFn: () => api.deleteTarget(t.id),
    onSuccess: ({ source }) => {
      fresh();
      undo(t.over ? say.your(t.name) : t.name, () => api.importOwn(source).then(fresh));
    },
  });
  const vocabulary = (name: string) => book.vocabularies.find((v) => v.name === name)?.words ?? [];
  const lists: [keyof TargetBody, string, { value: string; label: string }[]][] = [
    ['lives', say.livesAt, options(vocabulary('place'))],
    ['likes', say.likes, options(vocabulary('mark'))],
    ['eats', say.prefers, book.offerings.map((o) => ({ value: o.id, label: o.name }))],
    ['takes', say.takesToo, book.offerings.map((o) => ({ value: o.id, label: o.name }))],
    ['best', say.bestMonths, options(vocabulary('month'))],
    ['away', say.notThereIn, options(vocabulary('month'))],
    ['columns', say.feeds, options(['bottom', 'mid', 'top'])],
  ];
  const temperature = (key: keyof TargetBody, label: string) => (
    <NumberIn
      label={label}
      value={b[key] as number | undefined}
      onChange={(v) => set({ ...b, [key]: v })}
      measure="temperature"
      min={-3}
    />
  );
  const text = (key: 'note' | 'handling' | 'hooks' | 'latin', label: string) => (
    <label>
      {label}
      <Input value={b[key] ?? ''} maxLength={400} onChange={(e) => set({ ...b, [key]: e.target.value })} />
    </label>
  );
  const copyId = idFrom(b.name);
  const isCopy = copyId !== '' && b.name !== first.name && !book.targets.some((k) => k.id === copyId);
  return (
    <div className="form">
      <label>
        {say.name}
        <Input value={b.name} maxLength={80} onChange={(e) => set({ ...b, name: e.target.value })} />
      </label>
      {text('note', say.whatToKnow)}
      {text('handling', say.landingHoldingPuttingBack)}
      <div className="form-row">
        {temperature('feeds_from_c', say.feedsWellFrom)}
        {temperature('feeds_to_c', 'to')}
        {temperature('gone_below_c', say.goneBelow)}
        <label>
          {say.huntsBy}
          <Select
            aria-label={say.huntsBy}
            value={b.senses}
            onChange={(senses) => set({ ...b, senses })}
            options={options(['sight', 'scent', 'both']) as never}
          />
        </label>
      </div>
      <div className="form-row">
        {text('hooks', 'Hooks')}
        {text('latin', say.latinName)}
        <NumberIn
          label={say.strikesAheadFrom}
          value={b.strikes_from_m}
          onChange={(v) => set({ ...b, strikes_from_m: v ?? 0 })}
          measure="tackle"
        />
        <NumberIn
          label={say.to}
          value={b.strikes_to_m}
          onChange={(v) => set({ ...b, strikes_to_m: v ?? 0 })}
          measure="tackle"
        />
        <label>
          {say.dangerToTheLeader}
          <Select
            aria-label={say.dangerToTheLeader}
            value={b.hazard}
            onChange={(hazard) => set({ ...b, hazard })}
            options={options(['open sand', 'shell', 'pilings', 'rock', 'teeth']) as never}
          />
        </label>
      </div>
      {lists.map(([key, label, opts]) => (
        <label key={key}>
          {label}
          <Select
            aria-label={label}
            mode="multiple"
            value={(b[key] as string[] | undefined) ?? []}
            onChange={(v) => set({ ...b, [key]: v })}
            options={opts}
            showSearch={{ optionFilterProp: 'label' }}
          />
        </label>
      ))}
      <Fault of={[put, remove]} />
      <div className="form-acts">
        <Button type="primary" onClick={() => put.mutate(isCopy ? copyId : t.id)}>
          {isCopy ? say.add(b.name) : say.keepForMe}
        </Button>
        {t.own && (
          <Button onClick={() => remove.mutate()}>{t.over ? say.asThePlaybookHasIt : say.takeOut}</Button>
        )}
        {!isCopy && <span className="small quiet">{say.giveItAnotherNameTo}</span>}
      </div>
    </div>
  );
}

const options = (list: string[]) => list.map((v) => ({ value: v, label: v }));
