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

/** The targets: what is said of each becomes rules; one may be changed, or copied under another name. */
export function TargetsPanel() {
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook });
  const [id, setId] = useState('red-drum');
  const askFirst = useAskFirst();
  if (!book.data) return null;
  const t = book.data.targets.find((k) => k.id === id) ?? book.data.targets[0]!;
  return (
    <section className="panel targets-panel">
      <h2>Targets</h2>
      <p className="quiet">
        What is said of a target becomes rules. Change one, or copy it under another name: yours lies over the
        playbook and survives its updates.
      </p>
      <Select
        aria-label="Target to read or change"
        showSearch={{ optionFilterProp: 'label' }}
        value={t.id}
        onChange={(other) => askFirst(() => setId(other))}
        options={book.data.targets.map((k) => ({ value: k.id, label: k.name + (k.own ? ' (yours)' : '') }))}
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
      if (r.findings.length > 0) void message.warning(`Kept. But: ${r.findings.join('; ')}`, 8);
      else void message.success(`${b.name} is kept.`);
      onCopied(id);
    },
  });
  const remove = useMutation({
    mutationFn: () => api.deleteTarget(t.id),
    onSuccess: ({ source }) => {
      fresh();
      undo(t.over ? `Your ${t.name}` : t.name, () => api.importOwn(source).then(fresh));
    },
  });
  const vocabulary = (name: string) => book.vocabularies.find((v) => v.name === name)?.words ?? [];
  const lists: [keyof TargetBody, string, { value: string; label: string }[]][] = [
    ['lives', 'Lives at', options(vocabulary('place'))],
    ['likes', 'Likes', options(vocabulary('mark'))],
    ['eats', 'Prefers', book.offerings.map((o) => ({ value: o.id, label: o.name }))],
    ['takes', 'Takes too', book.offerings.map((o) => ({ value: o.id, label: o.name }))],
    ['best', 'Best months', options(vocabulary('month'))],
    ['away', 'Not there in', options(vocabulary('month'))],
    ['columns', 'Feeds', options(['bottom', 'mid', 'top'])],
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
        Name
        <Input value={b.name} maxLength={80} onChange={(e) => set({ ...b, name: e.target.value })} />
      </label>
      {text('note', 'What to know')}
      {text('handling', 'Landing, holding, putting back')}
      <div className="form-row">
        {temperature('feeds_from_c', 'Feeds well from')}
        {temperature('feeds_to_c', 'to')}
        {temperature('gone_below_c', 'Gone below')}
        <label>
          Hunts by
          <Select
            aria-label="Hunts by"
            value={b.senses}
            onChange={(senses) => set({ ...b, senses })}
            options={options(['sight', 'scent', 'both']) as never}
          />
        </label>
      </div>
      <div className="form-row">
        {text('hooks', 'Hooks')}
        {text('latin', 'Latin name')}
        <NumberIn
          label="Strikes ahead from"
          value={b.strikes_from_m}
          onChange={(v) => set({ ...b, strikes_from_m: v ?? 0 })}
          measure="tackle"
        />
        <NumberIn
          label="to"
          value={b.strikes_to_m}
          onChange={(v) => set({ ...b, strikes_to_m: v ?? 0 })}
          measure="tackle"
        />
        <label>
          Danger to the leader
          <Select
            aria-label="Danger to the leader"
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
      <div className="kit-acts">
        <Button type="primary" onClick={() => put.mutate(isCopy ? copyId : t.id)}>
          {isCopy ? `Add ${b.name}` : 'Keep for me'}
        </Button>
        {t.own && (
          <Button onClick={() => remove.mutate()}>{t.over ? 'As the playbook has it' : 'Take out'}</Button>
        )}
        {!isCopy && (
          <span className="small quiet">Give it another name to add it as a target of its own.</span>
        )}
      </div>
    </div>
  );
}

const options = (list: string[]) => list.map((v) => ({ value: v, label: v }));
