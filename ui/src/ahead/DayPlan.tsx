import { useMutation } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { v7 } from 'uuid';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type DayPlan as Plan, type LatLon, type Means } from '../api/client';
import { day, weekday, hourMark, isoDay, lasting, onTheWall } from '../format/time';
import { useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { useMoment, usePlace } from '../moment/moment';
import { useAsking } from '../tie/asking';
import { means } from '../water/SpotFilter';
import { ahead as say } from '../words/ahead';
import type { Asked } from './asked';
import { HomeField } from './Home';
import { stayOf } from './stay';
import { PlanList } from './PlanList';
import { Robust } from './Robust';

const oneDay = 86_400_000;
const spares = [0, 20, 40, 60, 90, 120];
const hours = Array.from({ length: 25 }, (_, h) => h);

/** A day over several spots: the best three that differ by place, worked out anew for what one asks. */
export function DayPlan(props: {
  asked: Asked;
  home: LatLon | undefined;
  onHome: (p: LatLon | undefined) => void;
}) {
  const { home, onHome } = props;
  const { targets, byDay, along } = props.asked;
  const here = usePlace();
  const moment = useMoment();
  const [, seek] = useAsking();
  const go = useNavigate();
  const invalidate = useInvalidate();
  const zone = here.spot.time_zone;
  const days = Array.from({ length: 13 }, (_, i) =>
    isoDay(new Date(here.present().getTime() + i * oneDay), zone),
  );
  const [date, setDate] = useState(days[1]!);
  const [from, setFrom] = useState(6);
  const [until, setUntil] = useState(18);
  const [by, setBy] = useState<Means | ''>('');
  const [legs, setLegs] = useState(2);
  const [spare, setSpare] = useState(0);
  const asked = () => {
    const begin = onTheWall(date, from, zone);
    return {
      from: new Date(Math.max(begin.getTime(), here.present().getTime())).toISOString(),
      to: onTheWall(date, until, zone).toISOString(),
      targets,
      legs,
      by_day: byDay,
      pack_min: 15,
      margin_min: 20,
      spare_min: spare,
      ...(along.length > 0 && { along }),
      ...(by && { by }),
      ...(home && { home }),
    };
  };
  // What is kept is what was asked when it was laid, whatever stands in the fields since.
  const ask = useMutation({
    mutationFn: async () => {
      const day = asked();
      return { day, ...(await api.previewPlans({ ...day, plans: 3 })) };
    },
  });
  const keep = useMutation({
    mutationFn: async (p: Plan) => {
      const id = v7();
      await api.putPlan(id, {
        ...ask.data!.day,
        name: weekday(p.leave_home, zone),
        call_min: 60,
        stays: p.legs.map(stayOf),
      });
      return id;
    },
    onSuccess: async (id) => {
      await invalidate('plans');
      void go(`/ahead/plans/${id}`);
    },
  });
  const hour = (label: string, value: number, set: (h: number) => void, list: number[]) => (
    <label>
      {label}
      <Select
        aria-label={label}
        value={value}
        onChange={set}
        options={list.map((h) => ({ value: h, label: hourMark(h) }))}
        popupMatchSelectWidth={false}
      />
    </label>
  );
  return (
    <section className="panel day-plan" aria-label={say.planADay}>
      <h2>{say.planADay}</h2>
      <PlanList />
      <p className="quiet small">{say.theBestWayThroughA}</p>
      <div className="day-plan-ask">
        <label>
          {say.day}
          <Select
            aria-label={say.dayOfThePlan}
            value={date}
            onChange={setDate}
            options={days.map((d) => ({ value: d, label: day(`${d}T12:00:00Z`, 'UTC') }))}
            popupMatchSelectWidth={false}
          />
        </label>
        <HomeField value={home} onChange={onHome} />
        {hour(say.leaveFrom, from, setFrom, hours.slice(0, 24))}
        {hour(
          say.backBy,
          until,
          setUntil,
          hours.filter((h) => h > from),
        )}
        <label>
          {say.gettingAbout}
          <Select
            aria-label={say.gettingAbout}
            value={by}
            onChange={setBy}
            options={means}
            popupMatchSelectWidth={false}
          />
        </label>
        <label>
          {say.spotsAtMost}
          <Select
            aria-label={say.spotsAtMost}
            value={legs}
            onChange={setLegs}
            options={[1, 2, 3, 4].map((n) => ({ value: n, label: n }))}
          />
        </label>
        <label>
          {say.toSpare}
          <Select
            aria-label={say.toSpare}
            value={spare}
            onChange={setSpare}
            options={spares.map((n) => ({
              value: n,
              label: n === 0 ? say.nothingToSpare : lasting(n * 60_000),
            }))}
            popupMatchSelectWidth={false}
          />
        </label>
        <div className="day-plan-act">
          <Fault of={[ask, keep]} />
          <Button
            type="primary"
            disabled={until <= from}
            loading={ask.isPending}
            onClick={() => ask.mutate()}
          >
            {say.planIt}
          </Button>
        </div>
      </div>
      <div role="status">
        {ask.data?.why && <p className="caution">{ask.data.why}</p>}
        {ask.data && ask.data.plans.length > 0 && (
          <ol className="day-plans">
            {ask.data.plans.map((p, i) => (
              <Laid
                key={p.says + p.leave_home}
                plan={p}
                best={i === 0}
                keeping={keep.isPending}
                onKeep={() => keep.mutate(p)}
                onLeg={(l) => {
                  here.choose(l.spot_id);
                  moment.moveTime(new Date(Date.parse(l.arrive)));
                  if (l.target) seek({ targets: [l.target], several: false });
                  void go('/tie-on');
                }}
              />
            ))}
          </ol>
        )}
      </div>
    </section>
  );
}

function Laid(props: {
  plan: Plan;
  best: boolean;
  onLeg: (l: Plan['legs'][number]) => void;
  onKeep: () => void;
  keeping: boolean;
}) {
  const { plan, best, onLeg, onKeep, keeping } = props;
  return (
    <li>
      <p>
        <b>{plan.says}</b>
      </p>
      <Robust plan={plan} best={best} />
      <ul>
        {plan.legs.map((l) => (
          <li key={l.arrive}>
            {l.says}{' '}
            <button className="plain" onClick={() => onLeg(l)}>
              {say.whatToTieOn}
            </button>
          </li>
        ))}
      </ul>
      <Button size="small" loading={keeping} onClick={onKeep}>
        {say.keepThisDay}
      </Button>
    </li>
  );
}
