import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Spot, Target } from '../api/client';
import { show } from '../format/spoken';
import { clock } from '../format/time';
import { calendar, download, sound } from './alarm';
import { caughtOf } from './caught';
import { Change } from './Change';
import { duration } from './duration';
import { Look } from './Look';
import { Landed } from './Landed';
import { More } from './More';
import { useFix, type Fix } from './position';
import { Pass, trolled } from './Troll';
import type { Doing, Said, Told, Touch } from './touch';
import type { Waters } from './useAround';
import { wayAt } from './way';
import { fish as say } from '../words/fish';

/** Under so long the time left is the largest thing on the screen, and the alarm comes, ms. */
const hour = 3_600_000;
const margin = 20 * 60_000;
/** From so long before on the calendar's alarm is offered, ms. */
const soon = 6 * hour;

export function Going(props: {
  told: Told;
  touches: Touch[];
  doing: Doing;
  around: Waters;
  spots: Spot[];
  targets: Target[];
  present: () => Date;
  say: (said: Said) => Promise<void>;
  onEnd: () => void;
  fishAt: number[];
  onFishAt: (m: number[]) => void;
  /** Where the device is, while that matters. */
  onAt: (at: Fix | undefined) => void;
  /** The outing's id. */
  outing: string;
}) {
  const { told, touches, doing, around, spots, targets, present } = props;
  const [open, setOpen] = useState<'change' | 'more' | 'look' | 'landed' | 'end'>();
  const spot = spots.find((s) => s.id === doing.spot_id);
  const target = targets.find((t) => t.id === doing.target);
  const zone = spot?.time_zone ?? 'UTC';
  const spell = told.spells.at(-1);
  const way = wayAt(around.windows, present());
  const left = way?.shuts ? Date.parse(way.shuts) - present().getTime() : undefined;
  const shut = way && !way.open ? way : undefined;
  const tell = (said: Said) => {
    setOpen(undefined);
    tellOn(said);
  };
  const tellOn = (said: Said) => {
    if (navigator.vibrate) navigator.vibrate(20);
    void props.say(said);
  };
  useAwake();
  const trolling = doing.style === trolled;
  const fix = useFix(trolling || open === 'look');
  // Trolling, the place of a hook-up and how the boat ran are kept with it: the pass over it is planned again.
  const hookUp = (): Said => {
    const at = trolling ? fix() : undefined;
    return {
      kind: 'fish on',
      ...(at ? { at: { lat: at.lat, lon: at.lon } } : {}),
      ...(at?.course_deg !== undefined && at.speed_ms
        ? { run: { course_deg: at.course_deg, speed_ms: Math.min(at.speed_ms, 10) } }
        : {}),
    };
  };
  const { onAt } = props;
  useEffect(() => {
    if (!trolling) return undefined;
    const t = setInterval(() => onAt(fix()), 5_000);
    return () => clearInterval(t);
  });

  return (
    <>
      <section className="panel fish-now" aria-live="polite">
        {shut && (
          <p role="alert" className="fish-shut">
            {say.wayIsShut(shut.why, shut.opens ? clock(shut.opens, zone) : '')}
          </p>
        )}
        {around.lost && <p className="fish-left">{say.nothingKnown}</p>}
        {left !== undefined && (
          <p className={left < margin ? 'fish-left soon' : left < hour ? 'fish-left near' : 'fish-left'}>
            {say.wayShutsIn(duration(left))}
          </p>
        )}
        <Alarm left={left} />
        {way?.shuts && left !== undefined && left > 0 && left < soon && (
          <p className="quiet small">
            {say.aLockedPhone}{' '}
            <button
              className="plain"
              onClick={() =>
                download(
                  'be-out.ics',
                  'text/calendar',
                  calendar(
                    props.outing,
                    say.beOutOf(spot?.name ?? ''),
                    new Date(Date.parse(way.shuts!) - margin),
                    present(),
                  ),
                )
              }
            >
              {say.intoTheCalendar}
            </button>
          </p>
        )}
        <Cautions list={around.cautions ?? []} />
        {around.says && around.levelM !== undefined && (
          <p>
            {around.says}, {show('depth', around.levelM)}
          </p>
        )}
        <p className="fish-doing">
          <b>{say.placeAt(spot?.name ?? '', doing.mark ?? '')}</b>
        </p>
        <p>
          {say.doing(target?.name ?? doing.target, doing.offering ?? '', doing.rods)}{' '}
          {spell && (
            <span className="quiet">
              {say.forSoLong(duration(spell.lasted_s * 1000), !!told.resting_since)}
            </span>
          )}
        </p>
        <dl className="fish-tally">
          {(['fish', 'lost', 'missed', 'bites'] as const).map((k) => (
            <div key={k}>
              <dt>{say.tally[k]}</dt>
              <dd>{told.total[k]}</dd>
            </div>
          ))}
          <div>
            <dt>{say.tally.rodHours}</dt>
            <dd>{told.total.rod_hours.toFixed(1)}</dd>
          </div>
        </dl>
        {told.boat_s !== undefined && (
          <p>{say.boatPassed(Math.floor(told.boat_s / 60), told.boat_s > (told.settles_s ?? 0))}</p>
        )}
        {told.pays && <p className="fish-pays">{say.itPays(told.pays)}</p>}
        {trolling && told.pass && !told.hooked_since && <Pass pass={told.pass} />}
        <p>
          <Link className="fish-hand" to="/fish/hand">
            {say.keepOrRelease}
          </Link>
        </p>
        {told.leader > 0 && (
          <p>
            {say.leaderBore(told.leader)}{' '}
            <button className="plain" onClick={() => tellOn({ kind: 'note', note: told.leader_note })}>
              {say.leaderChecked}
            </button>
          </p>
        )}
        {told.row.moves.length > 0 && <p>{say.rodsToMove(told.row.moves.length)}</p>}
        {told.stay && <p>{say.stayOrGo(told.stay)}</p>}
        {told.next && told.total.fish === 0 && !shut && <p className="quiet">{say.nextChange(told.next)}</p>}
      </section>

      {open === 'change' && (
        <section className="panel">
          <h2>{say.change}</h2>
          <Change
            spots={spots}
            targets={targets}
            now={doing}
            word={say.fishThis}
            onDone={(d) => tell({ kind: 'fish', doing: d })}
            onClose={() => setOpen(undefined)}
          />
        </section>
      )}
      {open === 'look' && (
        <Look
          told={told}
          touches={touches}
          doing={doing}
          fishAt={props.fishAt}
          onFishAt={props.onFishAt}
          tell={tellOn}
          present={present}
          fix={fix}
          onClose={() => setOpen(undefined)}
        />
      )}
      {open === 'more' && <More mark={doing.mark ?? ''} tell={tell} onClose={() => setOpen(undefined)} />}
      {open === 'landed' && (
        <Landed
          targets={targets}
          sought={doing.target}
          spot={doing.spot_id}
          kept={caughtOf(told).kept}
          tell={tell}
          onClose={() => setOpen(undefined)}
        />
      )}
      {open === 'end' && (
        <section className="panel">
          <p>{say.endIt}</p>
          <div className="fish-row">
            <button className="act fish-end" onClick={props.onEnd}>
              {say.end}
            </button>
            <button className="act" onClick={() => setOpen(undefined)}>
              {say.goOn}
            </button>
          </div>
        </section>
      )}
      {!open && (
        <div className="fish-pad" role="group" aria-label={say.whatHappened}>
          <Taken touches={touches} present={present} onUndo={(of) => tell({ kind: 'undo', of })} />
          <div className="fish-row small">
            <button onClick={() => tell({ kind: told.resting_since ? 'resume' : 'rest' })}>
              {told.resting_since ? say.resume : say.rest}
            </button>
            <button onClick={() => setOpen('change')}>{say.change}</button>
            <button onClick={() => setOpen('look')}>{say.look}</button>
            <button onClick={() => setOpen('more')}>{say.more}</button>
            <button onClick={() => setOpen('end')}>{say.end}</button>
          </div>
          <div className="fish-row">
            <button onClick={() => tell({ kind: 'bite' })}>{say.kinds.bite}</button>
            <button onClick={() => tell({ kind: 'missed' })}>{say.kinds.missed}</button>
            <button onClick={() => tell({ kind: 'bait robbed' })}>{say.kinds['bait robbed']}</button>
          </div>
          {told.hooked_since ? (
            <div className="fish-row big">
              <button onClick={() => tell({ kind: 'lost' })}>{say.kinds.lost}</button>
              <button className="chosen" onClick={() => tell({ kind: 'landed' })}>
                {say.kinds.landed}
              </button>
              <button onClick={() => setOpen('landed')}>{say.landedWith}</button>
            </div>
          ) : (
            <div className="fish-row big">
              <button className="chosen" onClick={() => tell(hookUp())}>
                {say.kinds['fish on']}
              </button>
            </div>
          )}
        </div>
      )}
    </>
  );
}

/** So long the last touch can be taken back here; later it is corrected in Back, ms. */
const undoable = 60_000;

/** The last touch, to be taken back within a minute. */
function Taken(props: { touches: Touch[]; present: () => Date; onUndo: (id: string) => void }) {
  const last = props.touches.at(-1);
  const age = last ? props.present().getTime() - Date.parse(last.time) : Infinity;
  const [, redraw] = useState(0);
  useEffect(() => {
    if (age >= undoable) return undefined;
    const t = setTimeout(() => redraw((n) => n + 1), undoable - age + 100);
    return () => clearTimeout(t);
  }, [age, last]);
  // The first of all begins the outing: it is ended, not taken back.
  if (!last || age >= undoable || last.kind === 'undo' || props.touches.length < 2)
    return <p className="fish-taken" />;
  return (
    <p className="fish-taken">
      {say.isKept(say.kinds[last.kind])} <button onClick={() => props.onUndo(last.id)}>{say.undo}</button>
    </p>
  );
}

/** Comes at the margin before the way shuts, and stays until it is acknowledged. */
function Alarm({ left }: { left: number | undefined }) {
  const [heard, setHeard] = useState(false);
  const due = left !== undefined && left > 0 && left < margin;
  useEffect(() => {
    if (!due || heard) return undefined;
    const ring = () => {
      navigator.vibrate?.([400, 200, 400]);
      sound();
    };
    ring();
    const t = setInterval(ring, 5_000);
    return () => clearInterval(t);
  }, [due, heard]);
  if (!due || heard) return null;
  return (
    <p role="alert" className="fish-alarm">
      {say.beOut} <button onClick={() => setHeard(true)}>{say.iHaveSeenIt}</button>
    </p>
  );
}

/** What the water and the place warn of: each once, at the start and when another comes. */
function Cautions({ list }: { list: string[] }) {
  const [seen, setSeen] = useState<string[]>([]);
  const fresh = list.filter((c) => !seen.includes(c));
  if (fresh.length === 0) return null;
  return (
    <div className="fish-cautions">
      <b>{say.cautions}</b>
      <ul>
        {fresh.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      <button className="act" onClick={() => setSeen([...seen, ...fresh])}>
        {say.iHaveSeenIt}
      </button>
    </div>
  );
}

/** Keeps the screen awake while one fishes, where the device can. */
function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    const hold = () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      navigator.wakeLock.request('screen').then(
        (l) => {
          if (gone) void l.release();
          else lock = l;
        },
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, []);
}
