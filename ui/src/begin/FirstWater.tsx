import { Fault } from '../frame/Fault';
import { useMutation } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { api, type LatLon, type SpotBody, type Station, type Template } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useLeaveGuard } from '../frame/unkept';
import { useTitle } from '../frame/useTitle';
import { Kind } from './Kind';
import { Tide } from './Tide';
import { Where } from './Where';
import { Ways, clear } from './Ways';
import './begin.css';
import { begin as say } from '../words/begin';

const steps = ['Where', say.theTide, say.thePlace, say.thereAndBack] as const;

/** A first water and spot, in four steps; what is made is kept with the last. */
export default function FirstWater() {
  const invalidate = useInvalidate();
  const go = useNavigate();
  const [step, setStep] = useState(0);
  const [ids] = useState(() => ({ water: v7(), spot: v7() }));
  const [water, setWater] = useState('');
  const [pin, setPin] = useState<LatLon>();
  const [zone, setZone] = useState(() => Intl.DateTimeFormat().resolvedOptions().timeZone);
  const [station, setStation] = useState<Station>();
  const [template, setTemplate] = useState<Template>();
  const [name, setName] = useState('');
  const [ways, setWays] = useState<Pick<SpotBody, 'manner' | 'in' | 'out'>>();
  useTitle(steps[step], say.firstWater);
  const { letGo } = useLeaveGuard(step > 0 || water !== '');
  // Focus goes where the work goes on.
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    head.current?.focus({ preventScroll: true });
    head.current?.scrollIntoView({ block: 'center' });
  }, [step]);
  const keep = useMutation({
    mutationFn: async () => {
      const t = template!;
      await api.putWater(ids.water, { name: water.trim(), time_zone: zone, station_id: station!.id });
      await api.putSpot(ids.spot, {
        water_id: ids.water,
        name: name.trim() || t.name,
        place: t.place,
        lat: pin!.lat,
        lon: pin!.lon,
        bottom: t.bottom,
        hazards: t.hazards,
        section: t.section,
        marks: t.marks,
        ...(ways ?? { manner: t.manner, in: clear, out: clear }),
      });
    },
    onSuccess: async () => {
      letGo();
      localStorage.setItem('greypebble.spot', ids.spot);
      await invalidate('spots');
      await invalidate('tide');
      void go('/water');
    },
  });
  const next = () => setStep(step + 1);
  return (
    <div className="first-water">
      <ol className="begin-steps" aria-label={say.steps}>
        {steps.map((s, i) => (
          <li key={s} aria-current={i === step ? 'step' : undefined}>
            {i < step ? (
              <button className="plain" onClick={() => setStep(i)}>
                {s}
              </button>
            ) : (
              s
            )}
          </li>
        ))}
      </ol>
      <h1 ref={head} tabIndex={-1}>
        {[say.whereIsIt, say.howIsItsTideKnown, say.whatKindOfPlaceIs, say.howDoYouGetThere][step]}
      </h1>
      {step === 0 && (
        <>
          <label className="begin-name-field">
            {say.whatYouCallTheWater}
            <Input
              value={water}
              maxLength={80}
              placeholder={say.aSoundAStretchOf}
              onChange={(e) => setWater(e.target.value)}
            />
          </label>
          <Where pin={pin} onPin={setPin} />
          <Onward ready={!!water.trim() && !!pin} wanted={pin ? say.aName : say.aPin} onNext={next} />
        </>
      )}
      {step === 1 && (
        <Tide
          pin={pin!}
          water={water}
          zone={zone}
          onStation={(s, z) => {
            setStation(s);
            if (z) setZone(z);
            setTemplate(undefined);
            next();
          }}
        />
      )}
      {step === 2 && station && (
        <>
          <Kind station={station} template={template} onTemplate={setTemplate} />
          {template && (
            <label className="begin-name-field">
              {say.whatYouCallTheSpot}
              <Input
                value={name}
                maxLength={80}
                placeholder={template.name}
                onChange={(e) => setName(e.target.value)}
              />
            </label>
          )}
          {template && <Onward ready wanted="" onNext={next} />}
        </>
      )}
      {step === 3 && template && (
        <>
          <Ways template={template} value={ways} onChange={setWays} />
          <Fault of={[keep]} />
          <Button type="primary" size="large" loading={keep.isPending} onClick={() => keep.mutate()}>
            {say.showMeTheWater}
          </Button>
        </>
      )}
    </div>
  );
}

function Onward({ ready, wanted, onNext }: { ready: boolean; wanted: string; onNext: () => void }) {
  return (
    <p className="begin-on">
      <Button type="primary" size="large" disabled={!ready} onClick={onNext}>
        {say.goOn}
      </Button>
      {!ready && <span className="quiet small">{say.stillWanted(wanted)}</span>}
    </p>
  );
}
