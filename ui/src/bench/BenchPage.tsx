import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../api/client';
import { useSettled } from '../conditions/useSettled';
import { useEntry } from '../entry/entry';
import { useMoment } from '../moment/moment';
import type { Field, Tool, Values } from './tool';
import { tools } from './tools';
import './bench.css';

/** The arithmetic of line, lead, lure and reel, each piece fitted to the chosen spot and moment. */
export default function BenchPage() {
  const { id } = useParams();
  const m = useMoment();
  const chosen = tools.find((t) => t.id === id) ?? tools[0]!;
  return (
    <div className="bench">
      <nav className="bench-list" aria-label="The bench">
        <Link className="bench-back" to="/tie-on">
          ‹ What to tie on
        </Link>
        {tools.map((t) => (
          <Link
            key={t.id}
            to={`/tie-on/bench/${t.id}`}
            aria-current={t === chosen ? 'page' : undefined}
            ref={t === chosen ? intoSight : undefined}
          >
            {t.name}
          </Link>
        ))}
      </nav>
      <Work key={`${chosen.id} ${m.spot.id}`} tool={chosen} />
    </div>
  );
}

/** On a phone the list runs off the screen. */
function intoSight(e: HTMLElement | null) {
  e?.scrollIntoView({ block: 'nearest', inline: 'center' });
}

function Work({ tool }: { tool: Tool }) {
  const m = useMoment();
  const entry = useEntry();
  const [values, setValues] = useState<Values>(() => tool.first(m));
  const complete = tool.fields.every(
    (f) => f.label.includes('leave empty') || (values[f.key] !== undefined && values[f.key] !== ''),
  );
  const body = complete ? tool.body(values, m) : undefined;
  const settled = useSettled(body ? JSON.stringify(body) : undefined, 120);
  const result = useQuery({
    queryKey: ['bench', tool.id, settled],
    queryFn: () => api.bench(tool.id, JSON.parse(settled!) as never),
    enabled: !!settled,
    retry: false,
    placeholderData: keepPreviousData,
  });
  const r = result.data as (Record<string, unknown> & { formula?: string; weak?: string }) | undefined;
  const line = r && !result.error ? tool.line(r as never, values) : '';
  return (
    <article className="panel bench-work">
      <h1>{tool.name}</h1>
      <p className="quiet">{tool.says}</p>
      <div className="bench-fields">
        {tool.fields.map((f) => (
          <Ask
            key={f.key}
            field={f}
            value={values[f.key]}
            onChange={(v) => setValues({ ...values, [f.key]: v })}
          />
        ))}
      </div>
      {result.error && (
        <p role="alert" className="caution">
          {result.error.message}
        </p>
      )}
      {line && (
        <>
          <p className="bench-result" role="status">
            {line}
          </p>
          {tool.show?.(r as never, values, m)}
          {r?.formula && <p className="small">= {r.formula}</p>}
          {r?.weak && <p className="quiet small">{r.weak}</p>}
          <div className="bench-acts">
            <Button onClick={() => entry.open({ kind: 'catch', note: `${tool.name}: ${line}` })}>
              Caught with this
            </Button>
            <Button onClick={() => entry.open({ kind: 'blank', note: `${tool.name}: ${line}` })}>
              Blank with this
            </Button>
          </div>
        </>
      )}
    </article>
  );
}

function Ask(props: { field: Field; value: Values[string]; onChange: (v: Values[string]) => void }) {
  const { field: f, value, onChange } = props;
  const targets = useQuery({ queryKey: ['targets'], queryFn: api.targets, staleTime: Infinity });
  if (f.text)
    return (
      <label className="wide">
        {f.label}
        <Input value={value ?? ''} onChange={(e) => onChange(e.target.value)} />
      </label>
    );
  if (f.words)
    return (
      <label>
        {f.label}
        <Select
          aria-label={f.label}
          value={value}
          onChange={onChange}
          options={
            f.key === 'target'
              ? (targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))
              : f.words.map((w) => ({ value: w, label: w }))
          }
        />
      </label>
    );
  const si = f.si ?? 1;
  return (
    <label>
      {f.label}
      <InputNumber<number>
        value={value === undefined ? null : Number((Number(value) / si).toPrecision(6))}
        step={f.step}
        min={f.min ?? 0}
        max={f.max}
        suffix={f.unit}
        onChange={(v) => onChange(v === null ? undefined : v * si)}
      />
    </label>
  );
}
