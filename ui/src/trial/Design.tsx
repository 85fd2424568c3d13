import { useMutation, useQuery } from '@tanstack/react-query';
import { Input, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { api, type Playbook, type Schemas } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { NumberField } from '../format/NumberField';
import { usePlace } from '../moment/moment';
import { soughtLast } from '../tie/asking';
import { trial as say } from '../words/trial';

type Arm = Schemas['WayOfArm'];

/** A trial is designed before it is fished: the question, what differs, how long, and when it is over. */
export function Design({ onClose }: { onClose: () => void }) {
  const { spot, spots } = usePlace();
  const go = useNavigate();
  const invalidate = useInvalidate();
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook, staleTime: Infinity });
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const [question, ask] = useState('');
  const [target, seek] = useState(soughtLast());
  const [at, setAt] = useState(spot.id);
  const [mark, setMark] = useState('');
  const [arms, setArms] = useState<Arm[]>([{ name: '' }, { name: '' }]);
  const [minutes, setMinutes] = useState<number | undefined>(15);
  const [rounds, setRounds] = useState<number | undefined>(6);
  const [rods, setRods] = useState('');
  const [anglers, setAnglers] = useState('');
  const [sides, setSides] = useState('');
  const here = useQuery({ queryKey: ['spot', at], queryFn: () => api.spot(at) });
  const keep = useMutation({
    mutationFn: async () => {
      const id = v7();
      await api.putTrial(id, {
        question: question.trim(),
        target: target ?? targets.data?.[0]?.id ?? '',
        spot_id: at,
        ...(mark ? { mark } : {}),
        arms,
        block_min: minutes ?? 15,
        rounds: Math.round(rounds ?? 6),
        rods: listed(rods),
        anglers: listed(anglers),
        sides: listed(sides),
      });
      return id;
    },
    onSuccess: async (id) => {
      await invalidate('trials');
      void go(`/back/trials/${id}`);
    },
  });
  const set = (i: number, part: Partial<Arm>) =>
    setArms(arms.map((a, k) => (k === i ? { ...a, ...part } : a)));
  const ready = question.trim() && arms.every((a) => a.name.trim()) && minutes && rounds;
  return (
    <section className="panel form trial-design">
      <h2>{say.design}</h2>
      <label>
        {say.question}
        <Input
          value={question}
          maxLength={400}
          placeholder={say.forInstance}
          onChange={(e) => ask(e.target.value)}
        />
      </label>
      <div className="trial-row">
        <label>
          {say.target}
          <Select
            aria-label={say.target}
            showSearch={{ optionFilterProp: 'label' }}
            value={target ?? targets.data?.[0]?.id ?? null}
            onChange={(t: string) => seek(t)}
            options={(targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
          />
        </label>
        <label>
          {say.spot}
          <Select
            aria-label={say.spot}
            value={at}
            onChange={(s: string) => {
              setAt(s);
              setMark('');
            }}
            options={spots.map((s) => ({ value: s.id, label: s.name }))}
          />
        </label>
        <label>
          {say.mark}
          <Select
            aria-label={say.mark}
            allowClear
            value={mark || null}
            onChange={(m?: string | null) => setMark(m ?? '')}
            options={(here.data?.marks ?? []).map((m) => ({ value: m.name, label: m.name }))}
          />
        </label>
      </div>
      {arms.map((a, i) => (
        <ArmFields key={i} n={i + 1} arm={a} book={book.data} onChange={(part) => set(i, part)} />
      ))}
      {arms.length < 4 && (
        <button className="plain" onClick={() => setArms([...arms, { name: '' }])}>
          {say.anotherArm}
        </button>
      )}
      <div className="trial-row">
        <label>
          {say.minutes}
          <NumberField min={2} max={240} value={minutes} onChange={setMinutes} />
        </label>
        <label>
          {say.rounds}
          <NumberField min={1} max={100} value={rounds} onChange={setRounds} />
        </label>
        <label>
          {say.rods}
          <Input value={rods} placeholder={say.rodsFor} onChange={(e) => setRods(e.target.value)} />
        </label>
        <label>
          {say.anglers}
          <Input value={anglers} placeholder={say.anglersFor} onChange={(e) => setAnglers(e.target.value)} />
        </label>
        <label>
          {say.sides}
          <Input value={sides} placeholder={say.sidesFor} onChange={(e) => setSides(e.target.value)} />
        </label>
      </div>
      <p className="quiet small">{say.fair}</p>
      {keep.error && <p role="alert">{keep.error.message}</p>}
      <div className="trial-row">
        <button className="act chosen" disabled={!ready || keep.isPending} onClick={() => keep.mutate()}>
          {say.keepDesign}
        </button>
        <button className="act" onClick={onClose}>
          {say.notNow}
        </button>
      </div>
    </section>
  );
}

function ArmFields(props: {
  n: number;
  arm: Arm;
  book: Playbook | undefined;
  onChange: (part: Partial<Arm>) => void;
}) {
  const { n, arm, book, onChange } = props;
  const offering = book?.offerings.find((o) => o.id === arm.offering_id);
  return (
    <fieldset className="trial-arm">
      <legend>{say.arm(n)}</legend>
      <label>
        {say.called}
        <Input
          aria-label={say.calledOf(n)}
          maxLength={60}
          value={arm.name}
          onChange={(e) => onChange({ name: e.target.value })}
        />
      </label>
      <label>
        {say.offering}
        <Select
          aria-label={say.offeringOf(n)}
          virtual={false}
          allowClear
          showSearch={{ optionFilterProp: 'label' }}
          value={arm.offering_id ?? null}
          onChange={(id?: string | null) => {
            const o = book?.offerings.find((k) => k.id === id);
            onChange({
              offering_id: o?.id ?? '',
              offering: o?.name ?? '',
              rig_id: o?.rigs[0] ?? '',
              ...(o && !arm.name ? { name: o.name } : {}),
            });
          }}
          options={(book?.offerings ?? []).map((o) => ({ value: o.id, label: o.name }))}
        />
      </label>
      <label>
        {say.rig}
        <Select
          aria-label={say.rigOf(n)}
          value={arm.rig_id || null}
          onChange={(rig_id: string) => onChange({ rig_id })}
          options={(book?.rigs ?? [])
            .filter((r) => !offering || offering.rigs.includes(r.id))
            .map((r) => ({ value: r.id, label: r.name }))}
        />
      </label>
      <label>
        {say.colour}
        <Input
          aria-label={say.colourOf(n)}
          maxLength={40}
          value={arm.finish ?? ''}
          onChange={(e) => onChange({ finish: e.target.value })}
        />
      </label>
    </fieldset>
  );
}

/** "long, short" is two. */
const listed = (text: string) =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean);
