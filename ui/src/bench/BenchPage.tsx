import { Fault } from '../frame/Fault';
import { useTitle } from '../frame/useTitle';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, type Usual } from '../api/client';
import { keys } from '../api/keys';
import { useSettled } from '../conditions/useSettled';
import { useEntry } from '../entry/entry';
import { NumberIn } from '../format/NumberField';
import { useMoment, usePlace } from '../moment/moment';
import { useAsking } from '../tie/asking';
import type { Field, Tool, Values } from './tool';
import { Practice } from './Practice';
import { tools } from './tools';
import './bench.css';
import { bench as say } from '../words/bench';
import { sentences } from '../words/joined';

/** The arithmetic of line, lead, lure and reel, each piece fitted to the chosen spot and moment. */
export default function BenchPage() {
  useTitle(say.theBench);
  const { id } = useParams();
  const here = usePlace();
  const moment = useMoment();
  const [search] = useSearchParams();
  const given = search.get('text') ?? '';
  const chosen = tools.find((t) => t.id === id) ?? tools[0]!;
  const time = useSettled(moment.frame?.time, 120);
  // A calculation under way keeps the numbers it began with; the next one starts from the moment shown.
  const [asking] = useAsking();
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  // One that was asked after and is no longer in the book is nobody's.
  const target = targets.data?.find((t) => t.id === asking.targets[0])?.id;
  const usual = useQuery({
    queryKey: ['usual', here.spot.id, time, target],
    queryFn: ({ signal }) => api.usual(here.spot.id, time, target, signal),
    enabled: !!time && !!targets.data,
    placeholderData: (previous, q) =>
      q?.queryKey[1] === here.spot.id ? keepPreviousData(previous) : undefined,
  });
  return (
    <div className="bench">
      <nav className="bench-list" aria-label={say.theBench}>
        <Link className="bench-back" to="/tie-on">
          {say.whatToTieOn}
        </Link>
        {tools.map((t) => (
          <Link
            key={t.id}
            to={`/tie-on/bench/${t.id}`}
            aria-current={t === chosen && id !== 'practice' ? 'page' : undefined}
            ref={t === chosen && id !== 'practice' ? intoSight : undefined}
          >
            {t.name}
          </Link>
        ))}
        <Link
          className="bench-play"
          to="/tie-on/bench/practice"
          aria-current={id === 'practice' ? 'page' : undefined}
          ref={id === 'practice' ? intoSight : undefined}
        >
          {say.practiceFish}
        </Link>
      </nav>
      {id === 'practice' ? (
        <Practice usual={usual.data} />
      ) : (
        usual.data && (
          <Work
            key={`${chosen.id} ${here.spot.id} ${given}`}
            tool={chosen}
            usual={usual.data}
            given={given}
          />
        )
      )}
      {usual.error && <p role="alert">{usual.error.message}</p>}
    </div>
  );
}

/** On a phone the list runs off the screen; beside the work it is left where it is. */
function intoSight(e: HTMLElement | null) {
  if (window.innerWidth > 1000) return;
  e?.scrollIntoView({ block: 'nearest', inline: 'center' });
}

function Work({ tool, usual, given }: { tool: Tool; usual: Usual; given: string }) {
  const { spot } = usePlace();
  const moment = useMoment();
  const m = { ...moment, spot };
  const entry = useEntry();
  const [values, setValues] = useState<Values>(() => ({
    ...tool.first(m, usual),
    ...(given && tool.id === 'cadence' ? { text: given } : {}),
  }));
  const complete = tool.fields.every(
    (f) => f.label.includes('leave empty') || (values[f.key] !== undefined && values[f.key] !== ''),
  );
  const body = complete ? tool.body(values, m) : undefined;
  const settled = useSettled(body ? JSON.stringify(body) : undefined, 120);
  const result = useQuery({
    queryKey: ['bench', tool.id, settled],
    queryFn: ({ signal }) => api.bench(tool.id, JSON.parse(settled!) as never, signal),
    enabled: !!settled,
    retry: false,
    placeholderData: keepPreviousData,
  });
  const r = result.data as (Record<string, unknown> & { formula?: string; weak?: string }) | undefined;
  const line = r && !result.error ? tool.line(r as never, values) : '';
  return (
    <article className="panel bench-work">
      <h1>{tool.name}</h1>
      <p className="quiet">
        {sentences(tool.says, usual.from_kit.length > 0 && say.startsFrom(usual.from_kit.join(', ')))}
      </p>
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
      <Fault of={[result]} />
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
              {say.caughtWithThis}
            </Button>
            <Button onClick={() => entry.open({ kind: 'blank', note: `${tool.name}: ${line}` })}>
              {say.blankWithThis}
            </Button>
          </div>
        </>
      )}
    </article>
  );
}

function Ask(props: { field: Field; value: Values[string]; onChange: (v: Values[string]) => void }) {
  const { field: f, value, onChange } = props;
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
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
  return (
    <NumberIn
      label={f.label}
      value={value === undefined ? undefined : Number(value)}
      onChange={onChange}
      measure={f.measure}
      unit={f.unit}
      si={f.si}
      step={f.step}
      min={f.min}
      max={f.max}
    />
  );
}
