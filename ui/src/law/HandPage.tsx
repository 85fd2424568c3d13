import { useState } from 'react';
import { NavLink, Route, Routes } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { Input, Select } from 'antd';
import { api, type Schemas } from '../api/client';
import { keys } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { NumberField } from '../format/NumberField';
import { usePlace } from '../moment/moment';
import { law as say } from '../words/law';
import { Bait } from './Bait';
import { Care } from './Care';
import { DayCard } from './DayCard';
import { HowMeasured } from './HowMeasured';
import { Ice } from './Ice';
import { Ruler } from './Ruler';
import { useHeld } from './useHeld';
import { useSexes } from './useSexes';
import { Shown } from './Verdict';
import { useVerdict } from './useVerdict';
import './hand.css';

type Sex = NonNullable<Schemas['KeepBody']['are']>[number];

const rooms = [
  { to: '/fish/hand', name: say.theFish, Page: InHand },
  { to: '/fish/hand/card', name: say.dayCard, Page: DayCard },
  { to: '/fish/hand/ice', name: say.ice, Page: Ice },
  { to: '/fish/hand/bait', name: say.liveBait, Page: Bait },
  { to: '/fish/hand/ruler', name: say.ruler, Page: Ruler },
];

/** A fish in the hand: keep or release, how it is measured and treated, what is left of the day's bag. */
export default function HandPage() {
  useTitle(say.inTheHand);
  return (
    <div className="hand">
      <nav className="hand-rooms" aria-label={say.inTheHand}>
        <NavLink to="/fish" end>
          {say.backToFish}
        </NavLink>
        {rooms.map((r) => (
          <NavLink key={r.to} to={r.to} end>
            {r.name}
          </NavLink>
        ))}
      </nav>
      <Routes>
        {rooms.map((r) => (
          <Route key={r.to} path={r.to.replace('/fish/hand', '') || '/'} element={<r.Page />} />
        ))}
      </Routes>
    </div>
  );
}

function InHand() {
  const here = usePlace();
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const held = useHeld();
  const [chosen, setChosen] = useState<string>();
  const [length, setLength] = useState<number>();
  const [who, setWho] = useState('');
  const [are, setAre] = useState<Sex[]>([]);
  const species = chosen ?? held.sought ?? targets.data?.[0]?.id ?? '';
  const sexes = useSexes(targets.data?.find((t) => t.id === species));
  const v = useVerdict({
    species,
    spot_id: held.spot ?? here.spot.id,
    kept: held.kept,
    ...(length ? { length_m: length } : {}),
    ...(who.trim() ? { angler: who.trim() } : {}),
    ...(are.length > 0 ? { are } : {}),
  });
  return (
    <>
      <section className="panel form">
        <h1>{say.inTheHand}</h1>
        <label>
          {say.which}
          <Select
            aria-label={say.which}
            virtual={false}
            showSearch={{ optionFilterProp: 'label' }}
            value={species}
            options={(targets.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
            onChange={setChosen}
          />
        </label>
        <label>
          {say.length}
          <NumberField measure="fish_length" min={0} max={3.99} value={length} onChange={setLength} />
          <input
            type="range"
            className={length ? 'hand-wheel' : 'hand-wheel unset'}
            aria-label={say.lengthByThumb}
            min={0.1}
            max={1.4}
            step={0.005}
            value={length ?? 0.4}
            onChange={(e) => setLength(Number(e.target.value))}
          />
        </label>
        <label>
          {say.whoseFish}
          <Input
            aria-label={say.whoseFish}
            maxLength={40}
            placeholder={say.you}
            value={who}
            onChange={(e) => setWho(e.target.value)}
          />
        </label>
        {sexes.length > 0 && (
          <div className="hand-row" role="group" aria-label={say.itIs}>
            {sexes.map((s) => (
              <button
                key={s}
                className="toggle"
                aria-pressed={are.includes(s)}
                onClick={() => setAre(are.includes(s) ? are.filter((k) => k !== s) : [...are, s])}
              >
                {s}
              </button>
            ))}
          </div>
        )}
        {v.error && (
          <p role="alert" className="caution small">
            {v.error.message}
          </p>
        )}
        {v.data && <Shown v={v.data} />}
        <HowMeasured measure={v.data?.measure ?? 'total'} asked={!!v.data?.measure} />
      </section>
      <Care
        species={species}
        length={length}
        spot={held.spot ?? here.spot.id}
        male={are.includes('nesting male')}
      />
    </>
  );
}
