import { useAskFirst, useLeaveGuard } from '../frame/unkept';
import { Fault } from '../frame/Fault';
import { useUndo } from '../frame/useUndo';
import { useColumns } from '../file/MapColumns';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { api, type KitBody, type KitItem } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { NumberIn } from '../format/NumberField';
import { ChooseFile } from '../file/ChooseFile';
import { fieldsOf, inShort, type KitField } from './kinds';
import './kit.css';
import { kit as say } from '../words/kit';

/** What the angler owns: what is in hand today, and what it is like. */
export function Kit() {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const kit = useQuery({ queryKey: keys.kit, queryFn: api.kit });
  const [open, setOpen] = useState('');
  const askFirst = useAskFirst();
  const changed = () => {
    void invalidate('kit');
  };
  const put = useMutation({
    mutationFn: (i: { id: string; body: KitBody & { revision?: number } }) => api.putKit(i.id, i.body),
    onSuccess: changed,
  });
  const undo = useUndo();
  const remove = useMutation({
    mutationFn: (i: KitItem) => api.deleteKit(i.id),
    onSuccess: (_, i) => {
      changed();
      const { id, revision: _revision, ...body } = i;
      undo(i.name, async () => {
        await api.putKit(id, body);
        changed();
      });
    },
  });
  const bring = useMutation({
    mutationFn: (text: string) => api.importKit(text, false),
    onSuccess: (r) => {
      changed();
      void message.success(say.thingsAdded(r.items.length));
    },
  });
  const columns = useColumns('kit', (text) => bring.mutate(text), true);
  if (kit.error)
    return (
      <section className="panel" id="kit">
        <p role="alert">{kit.error.message}</p>
      </section>
    );
  if (!kit.data) return null;
  const { items, templates, kinds, finishes } = kit.data;
  const add = (body: KitBody) => {
    const id = crypto.randomUUID();
    put.mutate({ id, body });
    setOpen(id);
  };
  return (
    <section className="panel kit" id="kit">
      <h2>{say.yourKit}</h2>
      <p className="quiet">{say.adviceStartsFromWhatIs}</p>
      <div className="kit-add">
        <Select
          aria-label={say.addAThing}
          showSearch={{ optionFilterProp: 'label' }}
          value={null}
          placeholder={say.addRodReelLineHook}
          popupMatchSelectWidth={false}
          onChange={(name: string | null) => {
            const t = templates.find((k) => k.name === name);
            if (t) add(t);
          }}
          options={kinds.map((k) => ({
            label: k,
            title: k,
            options: templates.filter((t) => t.kind === k).map((t) => ({ value: t.name, label: t.name })),
          }))}
        />
        <ChooseFile
          says={say.addFromCsv}
          accept=".csv,text/csv"
          fault={bring.error?.message}
          onFile={(f) => void columns.take(f)}
        />
        {items.length > 0 && (
          <a className="act" href="/api/v1/interchange/kit.csv" download>
            {say.asCsv}
          </a>
        )}
      </div>
      {!open && <Fault of={[put, remove]} />}
      {columns.form}
      {items.length === 0 && <p className="quiet">{say.nothingEnteredYetPickWhat}</p>}
      {kinds
        .filter((k) => items.some((i) => i.kind === k))
        .map((k) => (
          <section key={k} className="kit-kind">
            <h3>{k}s</h3>
            <ul>
              {items
                .filter((i) => i.kind === k)
                .map((i) => (
                  <li key={i.id}>
                    <div className="kit-row">
                      <Checkbox
                        checked={i.in_hand}
                        aria-label={say.withYouToday(i.name)}
                        onChange={(e) =>
                          put.mutate({ id: i.id, body: { ...bodyOf(i), in_hand: e.target.checked } })
                        }
                      />
                      <button
                        className="kit-name"
                        aria-expanded={open === i.id}
                        onClick={() => askFirst(() => setOpen(open === i.id ? '' : i.id))}
                      >
                        <b>{i.name}</b> <span className="quiet small">{inShort(i)}</span>
                      </button>
                    </div>
                    {open === i.id && (
                      <KitForm
                        key={i.revision}
                        item={i}
                        finishes={finishes}
                        acts={[put, remove]}
                        onSave={(body) => put.mutate({ id: i.id, body })}
                        onDuplicate={() => {
                          const { revision: _revision, ...copy } = bodyOf(i);
                          void _revision;
                          add({ ...copy, name: say.another(i.name) });
                        }}
                        onRemove={() => remove.mutate(i)}
                      />
                    )}
                  </li>
                ))}
            </ul>
          </section>
        ))}
    </section>
  );
}

function bodyOf(i: KitItem): KitBody & { revision: number } {
  const { id: _id, ...body } = i;
  void _id;
  return body;
}

function KitForm(props: {
  item: KitItem;
  finishes: string[];
  /** What its buttons set off. */
  acts: { error: Error | null }[];
  onSave: (b: KitBody & { revision: number }) => void;
  onDuplicate: () => void;
  onRemove: () => void;
}) {
  const { item, finishes, onSave, onDuplicate, onRemove } = props;
  const [b, set] = useState(() => bodyOf(item));
  useLeaveGuard(
    Object.entries(bodyOf(item)).some(([k, v]) => b[k as keyof KitBody] !== v) ||
      Object.keys(b).length > Object.keys(bodyOf(item)).length,
  );
  return (
    <div className="form kit-form">
      <label>
        {say.name}
        <Input value={b.name} maxLength={80} onChange={(e) => set({ ...b, name: e.target.value })} />
      </label>
      <div className="form-row">
        {fieldsOf[b.kind].map((f) => (
          <KitAsk key={f.key} field={f} value={b[f.key]} onChange={(v) => set({ ...b, [f.key]: v })} />
        ))}
        {b.kind === 'lure' && (
          <label>
            {say.finish}
            <Select
              aria-label={say.finish}
              value={b.finish || undefined}
              onChange={(finish) => set({ ...b, finish })}
              options={finishes.map((v) => ({ value: v, label: v }))}
            />
          </label>
        )}
      </div>
      {(b.kind === 'lure' || b.kind === 'hook') && (
        <Checkbox checked={!!b.snag_proof} onChange={(e) => set({ ...b, snag_proof: e.target.checked })}>
          {say.weedless}
        </Checkbox>
      )}
      <Fault of={props.acts} />
      <div className="form-acts">
        <Button type="primary" onClick={() => onSave(b)}>
          {say.keep}
        </Button>
        <Button onClick={onDuplicate}>{say.duplicate}</Button>
        <Button onClick={onRemove}>{say.takeOut}</Button>
      </div>
    </div>
  );
}

function KitAsk(props: {
  field: KitField;
  value: KitBody[keyof KitBody];
  onChange: (v: string | number | undefined) => void;
}) {
  const { field: f, value, onChange } = props;
  if (f.words)
    return (
      <label>
        {f.label}
        <Select
          aria-label={f.label}
          value={(value as string) || undefined}
          onChange={onChange}
          options={f.words.map((w) => ({ value: w, label: w }))}
        />
      </label>
    );
  if (f.text)
    return (
      <label>
        {f.label}
        <Input value={(value as string) ?? ''} onChange={(e) => onChange(e.target.value)} />
      </label>
    );
  return (
    <NumberIn
      label={f.label}
      value={value ? Number(value) : undefined}
      onChange={onChange}
      measure={f.measure}
      unit={f.unit}
      si={f.si}
      step={f.step}
    />
  );
}
