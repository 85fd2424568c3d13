import { useOnScreen } from '../entry/entry';
import { useTitle } from '../frame/useTitle';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type AdviseIn, type Choice, type Pick } from '../api/client';
import { keys } from '../api/keys';
import { useSettled } from '../conditions/useSettled';
import { perHour, times, unbroken } from '../format/measure';
import { clock } from '../format/time';
import { useGiven, useMoment, usePlace } from '../moment/moment';
import { Toggle } from '../water/Toggle';
import { useAsking } from './asking';
import { Beside } from './Beside';
import type { Aside } from './Compare';
import { Detail } from './Detail';
import { Going } from './Going';
import { MyWay, type Way } from './MyWay';
import { Positions } from './Positions';
import { Seen } from './Seen';
import { drawnPx } from './Shown';
import { Targets } from './Targets';
import { Thresholds } from './Thresholds';
import { useNarrow } from './useNarrow';
import { Whisker } from './Whisker';
import './tie.css';
import { tie as say } from '../words/tie';

/** A way of one's own as it is asked after. */
const written = ({ target: _target, style, ...way }: Way) => ({ ...way, ...(style && { style }) });

/** What to tie on and how to move it, at the chosen spot and moment. */
export default function TiePage() {
  const here = usePlace();
  useTitle(say.tieOn, here.spot.name);
  const moment = useMoment();
  const given = useGiven();
  const [kept, ask] = useAsking();
  const narrow = useNarrow();
  const [seen, setSeen] = useState<string[]>([]);
  const [levels, setLevels] = useState<number[]>([]);
  const [choosing, setChoosing] = useState(false);
  const [going, setGoing] = useState({ spot: '', manner: '' });
  const manner = going.spot === here.spot.id ? going.manner : '';
  const [picked, setPicked] = useState('');
  const [aside, setAside] = useState<Aside>();
  const [beside, setBeside] = useState<Aside>();
  const [way, setWay] = useState<Way>();
  const [anyway, setAnyway] = useState('');
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets });
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook });
  const time = useSettled(moment.frame?.time, 150);
  const outlook = useQuery({ queryKey: keys.outlook, queryFn: api.outlook, staleTime: 60_000 });
  const ranked = outlook.data?.spots.find((o) => o.spot_id === here.spot.id)?.targets;
  const known = (targets.data ?? []).map((t) => t.id);
  const wanted = kept.targets.filter((t) => known.length === 0 || known.includes(t));
  // Where nothing was sought yet, it is what this place is best for today.
  const asking = { ...kept, targets: wanted.length > 0 ? wanted : [ranked?.[0] ?? 'red-drum'] };
  const question = {
    spot_id: here.spot.id,
    targets: asking.targets,
    time: time!,
    readings: [
      ...given.readings,
      ...levels.map((value) => ({ kind: 'fish_depth_m' as const, value, unit: 'm' })),
    ],
    signs: seen,
    schools: asking.schools,
    kit_only: asking.kitOnly,
    most: asking.targets.length > 1 ? 5 : 3,
    drawn_px: drawnPx(narrow),
    belief: asking.belief === 'book' ? ('book' as const) : ('log' as const),
    ...(manner ? { manner: manner as AdviseIn['manner'] } : {}),
  };
  const advice = useQuery({
    queryKey: ['advise', here.spot.id, asking.targets.join(), question],
    queryFn: ({ signal }) => api.advise(question, signal),
    enabled: !!time && (wanted.length > 0 || !outlook.isPending),
    retry: false,
    placeholderData: (previous, q) =>
      q?.queryKey[1] === here.spot.id && q?.queryKey[2] === asking.targets.join()
        ? keepPreviousData(previous)
        : undefined,
  });
  // The same by the book, where both are looked at: more of it, so that each choice is found again.
  const byBook = useQuery({
    queryKey: ['advise', 'by the book', question],
    queryFn: ({ signal }) => api.advise({ ...question, belief: 'book', most: 20, drawn_px: 0 }, signal),
    enabled: !!time && asking.belief === 'both',
    retry: false,
    placeholderData: keepPreviousData,
  });
  const bookOf = (c: Choice) =>
    asking.belief === 'both' ? byBook.data?.choices.find((b) => keyOf(b) === keyOf(c)) : undefined;
  // What would change it takes longer: it follows once the moment stands still.
  const still = useSettled(JSON.stringify(question), 700);
  const turns = useQuery({
    queryKey: ['advise', 'thresholds', still],
    queryFn: ({ signal }) =>
      api.advise(
        { ...(JSON.parse(still!) as AdviseIn), what_would_change: true, most: 1, drawn_px: 0 },
        signal,
      ),
    enabled: !!time && !!still && still === JSON.stringify(question),
    retry: false,
  });
  const weighed = useQuery({
    queryKey: ['edge', question, way],
    queryFn: ({ signal }) => api.edge({ ...question, ...written(way!), targets: [way!.target] }, signal),
    enabled: !!time && !!way,
    retry: false,
  });
  const mine = way && weighed.data;
  const choices = advice.data?.choices ?? [];
  const beyond = advice.data?.beyond;
  const detailed = useQuery({ queryKey: ['spot', here.spot.id], queryFn: () => api.spot(here.spot.id) });
  const chosen =
    picked === myWay && mine
      ? mine
      : (choices.find((c) => keyOf(c) === picked) ??
        (beyond && keyOf(beyond) === picked ? beyond : choices[0]));
  useOnScreen({
    target: chosen?.target ?? asking.targets[0],
    approach: chosen?.approach,
    offering: chosen?.offering,
    mark: chosen?.mark,
    ...(chosen
      ? {
          way: {
            offering: chosen.offering,
            offering_id: chosen.card.offering_id,
            rig_id: chosen.card.rig_id,
            style: chosen.card.style,
          },
        }
      : {}),
  });
  const shut =
    moment.frame && moment.ribbon && !moment.frame.open
      ? say.at(moment.frame.way_title, clock(moment.frame.time, here.spot.time_zone), moment.frame.way)
      : undefined;
  // What is unfolded stays so until something else speaks against going.
  const against = [
    here.spot.id,
    ...(advice.data?.cautions ?? []).filter((c) => c.severity === 'do not').map((c) => c.id),
  ].join();
  const folded = advice.data?.gravest === 'do not' && anyway !== against;
  const besideNow = (part: Partial<Pick>): Aside => ({
    pick: { ...question, ...part } as Pick,
    says: clock(question.time, here.spot.time_zone),
  });
  const asAside = (c: Choice): Aside =>
    c === mine
      ? besideNow({
          targets: [c.target],
          offering: c.offering,
          way: written(way!),
        })
      : besideNow({ targets: [c.target], offering: c.offering, kit_id: c.card.kit_id });
  const choose = (c: Choice) => {
    setPicked(c === mine ? myWay : keyOf(c));
    if (aside) setBeside(asAside(c));
  };
  const detail = chosen && (
    <Detail
      choice={chosen}
      usual={chosen === choices[0] ? advice.data?.usual : undefined}
      stay={advice.data?.stay}
      hasKit={!!advice.data?.kit}
      onCompare={() => {
        setAside(asAside(chosen));
        setBeside(undefined);
      }}
      beside={
        aside && (
          <Beside
            aside={aside}
            beside={beside}
            listed={choices}
            offerings={book.data?.offerings ?? []}
            onWith={(offering) => setBeside(besideNow({ targets: aside.pick.targets, offering }))}
            onMoment={() => setBeside(asAside(chosen))}
            onClose={() => {
              setAside(undefined);
              setBeside(undefined);
            }}
          />
        )
      }
    />
  );
  const disagreed = Object.keys(asking.schools).length;
  const namesOf = (ids: string[]) =>
    ids.map((id) => targets.data?.find((t) => t.id === id)?.name ?? '…').join(', ');
  const rest = (
    <>
      {here.spot.manners.length > 0 && (
        <Select
          aria-label={say.howYouGoThere}
          value={manner || here.spot.manner}
          onChange={(m) => setGoing({ spot: here.spot.id, manner: m === here.spot.manner ? '' : m })}
          popupMatchSelectWidth={false}
          options={[here.spot.manner, ...here.spot.manners].map((m) => ({ value: m, label: m }))}
        />
      )}
      <Select
        aria-label={say.goBy}
        value={asking.belief}
        onChange={(belief) => ask({ belief })}
        popupMatchSelectWidth={false}
        options={say.beliefs}
      />
      <details className="fold for-once">
        <summary>
          <span className="quiet">{say.today}</span>{' '}
          {disagreed === 0 ? say.asSetUp : say.takenOtherwise(disagreed)}
        </summary>
        <p className="quiet small">{say.whereAnglersDisagreeForThis}</p>
        <Positions
          schools={book.data?.schools ?? []}
          taken={(s) => asking.schools[s.id] ?? s.chosen}
          onTake={(s, p) => {
            const others = Object.entries(asking.schools).filter(([k]) => k !== s.id);
            ask({ schools: Object.fromEntries(p === s.chosen ? others : [...others, [s.id, p]]) });
          }}
        />
      </details>
      {advice.data?.kit || asking.kitOnly ? (
        <Toggle on={asking.kitOnly} onChange={(kitOnly) => ask({ kitOnly })}>
          {say.onlyWhatIHave}
        </Toggle>
      ) : (
        <Link className="quiet small" to="/set-up/kit">
          {say.enterYourKitAndAdvice}
        </Link>
      )}
      <Link className="to-bench" to="/tie-on/cards">
        {say.rigsAndKnots}
      </Link>
      <Link className="to-bench" to="/tie-on/bench">
        {say.theBench}
      </Link>
    </>
  );
  return (
    <div className="tie">
      <div className="tie-top">
        <details
          className="fold asked"
          open={choosing}
          onToggle={(e) => setChoosing((e.target as HTMLDetailsElement).open)}
        >
          <summary>
            <span className="quiet">{say.forWord2}</span> {namesOf(asking.targets)}
          </summary>
          <div>
            <Targets
              all={targets.data ?? []}
              ranked={ranked}
              place={here.spot.place}
              asking={asking}
              onChange={(part) => {
                ask(part);
                if (!asking.several && part.targets && part.several === undefined) setChoosing(false);
              }}
            />
            {asking.targets.length === 1 && (
              <p className="quiet small">{targets.data?.find((t) => t.id === asking.targets[0])?.note}</p>
            )}
          </div>
        </details>
        <Seen
          signs={book.data?.signs ?? []}
          seen={seen}
          onChange={setSeen}
          levels={levels}
          onLevels={setLevels}
        />
        {narrow ? (
          <details className="fold">
            <summary>{say.more}</summary>
            <div className="tie-rest">{rest}</div>
          </details>
        ) : (
          rest
        )}
      </div>
      {advice.data && <Going advice={advice.data} shut={shut} />}
      {folded && chosen && (
        <button className="act unfold" onClick={() => setAnyway(against)}>
          {say.whatOneWouldTieOn}
        </button>
      )}
      {advice.error && (
        <p role="alert" className="panel">
          {advice.error.message}
        </p>
      )}
      {advice.data && !chosen && (
        <div className="panel">
          <p>{advice.data.note}</p>
          <Thresholds advice={advice.data} />
        </div>
      )}
      {chosen && !folded && (
        <>
          <ol className="choices" aria-label={say.choicesBestFirst}>
            {choices.map((c) => (
              <li key={keyOf(c)}>
                <Offer
                  c={c}
                  byBook={bookOf(c)}
                  chosen={c === chosen}
                  several={asking.targets.length > 1}
                  next={c !== choices.at(-1)}
                  onChoose={() => choose(c)}
                />
                {narrow && c === chosen && detail}
              </li>
            ))}
            {beyond && (
              <li>
                <p className="quiet small">{say.betterButNotInYour}</p>
                <Offer
                  c={beyond}
                  chosen={beyond === chosen}
                  several={false}
                  onChoose={() => choose(beyond)}
                />
                {narrow && beyond === chosen && detail}
              </li>
            )}
            {mine && (
              <li>
                <p className="quiet small">{say.yourWay}</p>
                <Offer c={mine} chosen={mine === chosen} several={false} onChoose={() => choose(mine)} />
                {narrow && mine === chosen && detail}
              </li>
            )}
            {book.data && detailed.data && choices[0] && (
              <li>
                <MyWay
                  key={`${here.spot.id} ${choices[0].target}`}
                  target={choices[0].target}
                  marks={detailed.data.marks}
                  book={book.data}
                  from={choices[0]}
                  asking={weighed.isFetching}
                  problem={weighed.error?.message}
                  onAsk={(w) => {
                    setWay(w);
                    setPicked(myWay);
                  }}
                />
              </li>
            )}
            {advice.data?.note && <li className="small note-beside">{advice.data.note}</li>}
            <li className="quiet small basis">{say.theBarHoldsFourIn(advice.data?.basis)}</li>
            {turns.data && (
              <li>
                <Thresholds advice={turns.data} />
              </li>
            )}
          </ol>
          {!narrow && detail}
        </>
      )}
    </div>
  );
}

const keyOf = (c: Choice) => `${c.target} ${c.offering} ${c.card.kit_id ?? ''}`;
/** What is picked when it is the angler's own way. */
const myWay = 'my way';

function Offer(props: {
  c: Choice;
  /** The same by the book, where both are looked at. */
  byBook?: Choice | undefined;
  chosen: boolean;
  several: boolean;
  /** Another follows, of which it is said how sure the order is. */
  next?: boolean;
  onChoose: () => void;
}) {
  const { c, byBook, chosen, several, next, onChoose } = props;
  return (
    <button className={chosen ? 'choice chosen' : 'choice'} aria-pressed={chosen} onClick={onChoose}>
      <span className="choice-edge">{times(c.edge)}</span>
      {several && (
        <span className="quiet small choice-target">
          {say.aboutARodHour(c.target_name, perHour(c.per_rod_hour.median), c.absent)}
        </span>
      )}
      <span className="choice-says">{unbroken(c.sentence)}</span>
      <Whisker edge={c.edge} low={c.edge_low} high={c.edge_high} chosen={chosen} width={300} />
      {byBook && (
        <span className="choice-book">
          <span className="quiet small">{say.byTheBook(times(byBook.edge))}</span>
          <Whisker edge={byBook.edge} low={byBook.edge_low} high={byBook.edge_high} width={300} />
        </span>
      )}
      {next && <span className="quiet small choice-next">{c.beats_next_says}</span>}
      {c.lacks.length > 0 && <span className="quiet small">{say.missing2(c.lacks.join('; '))}</span>}
    </button>
  );
}
