import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, type DayPlan, type KeptBody, type KeptPlan } from '../api/client';
import { useInvalidate } from '../api/keys';
import { NumberField } from '../format/NumberField';
import { day } from '../format/time';
import { Fault } from '../frame/Fault';
import { useLeaveGuard } from '../frame/unkept';
import { useTitle } from '../frame/useTitle';
import { useUndo } from '../frame/useUndo';
import { useMoment, usePlace } from '../moment/moment';
import { useAsking } from '../tie/asking';
import { ahead as say } from '../words/ahead';
import { DayLine } from './DayLine';
import { PlanSheet } from './PlanSheet';
import { stayOf, type Leg } from './stay';
import './plan.css';

/** A plan that is kept: its day to move about, and the sheet of it to take along. */
export default function PlanPage() {
  const { id } = useParams();
  const q = useQuery({ queryKey: ['plan', id], queryFn: () => api.plan(id!), enabled: !!id });
  useTitle(q.data?.name ?? say.aPlan);
  if (q.error)
    return (
      <div className="plan-page">
        <p role="alert">{q.error.message}</p>
        <Link to="/ahead">{say.backToAhead}</Link>
      </div>
    );
  if (!q.data) return <p className="panel quiet">{say.fetchingThePlan}</p>;
  return <Opened key={q.data.id} plan={q.data} />;
}

/** What a plan was written as, to be written again. */
function bodyOf({ id: _, now: __, gone: ___, ...p }: KeptPlan): KeptBody {
  return p;
}

function Opened({ plan }: { plan: KeptPlan }) {
  const invalidate = useInvalidate();
  const undo = useUndo();
  const go = useNavigate();
  const body = bodyOf(plan);
  const legs = plan.now.legs;
  const zone = legs[0]?.time_zone ?? 'UTC';
  const put = useMutation({
    mutationFn: (b: KeptBody) => api.putPlan(plan.id, b),
    onSettled: () => invalidate('plans'),
  });
  // What was set stays; the rest of the day is laid anew about it, and kept.
  const around = useMutation({
    mutationFn: async ({ set, banned }: { set: Leg[]; banned?: string[] }) => {
      const { name: _, stays: __, tell: ___, call_min: ____, revision: _____, ...asked } = body;
      const out = banned ?? asked.banned ?? [];
      const day = {
        ...asked,
        // Stays of a plan are of its day, whatever it was first laid over.
        spots: undefined,
        banned: out,
        pins: set.map(({ spot_id, arrive, leave }) => ({ spot_id, arrive, leave })),
        plans: 1,
      };
      const laid = await api.previewPlans(day);
      const best = laid.plans[0];
      if (!best) throw new Error(laid.why ?? say.nothingIsLeft);
      await api.putPlan(plan.id, { ...body, banned: out, stays: best.legs.map(stayOf) });
    },
    onSettled: () => invalidate('plans'),
  });
  const remove = useMutation({
    mutationFn: () => api.deletePlan(plan.id),
    onSuccess: async () => {
      await invalidate('plans');
      undo(plan.name, () => api.putPlan(plan.id, { ...body, revision: 0 }).then(() => invalidate('plans')));
      void go('/ahead');
    },
  });
  const busy = around.isPending || put.isPending;
  const pinned = legs.filter((l) => l.pinned);
  return (
    <div className="plan-page">
      <section className="panel plan-head">
        <p className="plan-back">
          <Link to="/ahead">{say.backToAhead}</Link>
        </p>
        <h1>{plan.name}</h1>
        <p>
          <b>{day(plan.from, zone)}.</b> {plan.now.says}
        </p>
        {plan.gone > 0 && <p className="caution">{say.spotsAreGone(plan.gone)}</p>}
        {plan.now.against.map((a) => (
          <p key={a} className="caution">
            {a}
          </p>
        ))}
        {legs.length === 0 ? (
          <p className="quiet">{say.nothingOfItIsLeft}</p>
        ) : (
          <>
            <DayLine
              plan={plan.now}
              from={Math.min(Date.parse(plan.from), Date.parse(plan.now.leave_home))}
              to={Math.max(Date.parse(plan.to), Date.parse(plan.now.back_home))}
              zone={zone}
              busy={busy}
              onMove={(i, arrive, leave) =>
                around.mutate({
                  set: [
                    ...pinned.filter((l) => l !== legs[i]),
                    {
                      ...legs[i]!,
                      arrive: new Date(arrive).toISOString(),
                      leave: new Date(leave).toISOString(),
                      pinned: true,
                    },
                  ],
                })
              }
            />
            <Fault of={[around, put, remove]} />
            <ul className="plan-legs">
              {legs.map((l, i) => (
                <OneLeg
                  key={l.spot_id + l.arrive}
                  leg={l}
                  plan={plan.id}
                  busy={busy}
                  onPin={() =>
                    put.mutate({
                      ...body,
                      stays: legs.map((k, j) => ({ ...stayOf(k), pinned: j === i ? !k.pinned : k.pinned })),
                    })
                  }
                  onBan={() =>
                    around.mutate({
                      set: pinned.filter((k) => k.spot_id !== l.spot_id),
                      banned: [...(body.banned ?? []), l.spot_id],
                    })
                  }
                />
              ))}
            </ul>
          </>
        )}
        <p className="quiet small">{say.dragAStay}</p>
        <div className="plan-acts">
          {(body.banned ?? []).length > 0 && (
            <Button disabled={busy} onClick={() => around.mutate({ set: pinned, banned: [] })}>
              {say.allowAllSpotsAgain}
            </Button>
          )}
          <Button type="primary" onClick={() => window.print()}>
            {say.printTheSheet}
          </Button>
          <a className="act" href={`/api/v1/plans/${plan.id}/plan.ics`} download="plan.ics">
            {say.asACalendar}
          </a>
          <Button danger disabled={busy} onClick={() => remove.mutate()}>
            {say.removeThePlan}
          </Button>
        </div>
        <Contact key={plan.revision} plan={plan} busy={busy} onKeep={(k) => put.mutate({ ...body, ...k })} />
      </section>
      {legs.length > 0 && <PlanSheet id={plan.id} />}
    </div>
  );
}

function OneLeg(props: {
  leg: DayPlan['legs'][number];
  plan: string;
  busy: boolean;
  onPin: () => void;
  onBan: () => void;
}) {
  const { leg: l, plan, busy, onPin, onBan } = props;
  const here = usePlace();
  const moment = useMoment();
  const [, seek] = useAsking();
  const go = useNavigate();
  return (
    <li>
      <p>
        <b>{l.says}</b> {l.choice && <span className="quiet">{l.choice}</span>}
      </p>
      {l.against.map((a) => (
        <p key={a} className="caution small">
          {a}
        </p>
      ))}
      <div className="plan-leg-acts">
        <Button size="small" aria-pressed={l.pinned} disabled={busy} onClick={onPin}>
          {l.pinned ? say.letItMove : say.keepItThere}
        </Button>
        <Button size="small" disabled={busy} onClick={onBan}>
          {say.notThere}
        </Button>
        <button
          className="plain"
          onClick={() => {
            here.choose(l.spot_id);
            moment.moveTime(new Date(Date.parse(l.arrive)));
            if (l.target) seek({ targets: [l.target], several: false });
            void go('/tie-on');
          }}
        >
          {say.whatToTieOn}
        </button>
        <Link
          to={`/fish?${new URLSearchParams({ plan, spot: l.spot_id, target: l.target ?? '' }).toString()}`}
        >
          {say.goFishThere}
        </Link>
      </div>
    </li>
  );
}

/** Its name, and who is told where one goes. */
function Contact(props: {
  plan: KeptPlan;
  busy: boolean;
  onKeep: (k: { name: string; tell: string; call_min: number }) => void;
}) {
  const { plan, busy, onKeep } = props;
  const [name, setName] = useState(plan.name);
  const [tell, setTell] = useState(plan.tell ?? '');
  const [call, setCall] = useState<number | undefined>(plan.call_min ?? 60);
  const changed = name !== plan.name || tell !== (plan.tell ?? '') || call !== (plan.call_min ?? 60);
  const { letGo } = useLeaveGuard(changed);
  return (
    <form
      className="plan-contact"
      onSubmit={(e) => {
        e.preventDefault();
        letGo();
        onKeep({ name: name.trim(), tell, call_min: call ?? 60 });
      }}
    >
      <label>
        {say.nameOfThePlan}
        <Input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
      </label>
      <label className="plan-tell">
        {say.whoIsTold}
        <Input value={tell} maxLength={400} onChange={(e) => setTell(e.target.value)} />
      </label>
      <label>
        {say.callForMeAfter}
        <NumberField value={call} min={10} max={720} step={10} onChange={setCall} />
      </label>
      <Button htmlType="submit" disabled={busy || !changed || !name.trim()}>
        {say.keepThat}
      </Button>
    </form>
  );
}
