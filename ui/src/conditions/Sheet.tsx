import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Drawer, Popover } from 'antd';
import { useState } from 'react';
import { api, type Condition, type Sheet as SheetData } from '../api/client';
import { aged, fixed } from '../format/measure';
import { depth, distance, number, show } from '../format/spoken';
import { clock, day } from '../format/time';
import { useMoment, usePlace } from '../moment/moment';
import { useNarrow } from '../tie/useNarrow';
import { theAngler, useKinds, write, type Nature } from './kinds';
import { LightColumn } from './LightColumn';
import { Overrule } from './Overrule';
import { Spark } from './Spark';
import { WarmthChart } from './WarmthChart';
import { useSettled } from './useSettled';
import './sheet.css';
import { conditions as say } from '../words/conditions';
import { sentences } from '../words/joined';

/** Every condition of the chosen moment: its value, where it came from, how old it is, how it went. */
export default function Sheet({ onClose }: { onClose: () => void }) {
  const here = usePlace();
  const moment = useMoment();
  const narrow = useNarrow();
  const time = useSettled(moment.frame?.time, 120);
  const q = useQuery({
    queryKey: ['conditions', here.spot.id, time],
    queryFn: ({ signal }) => api.conditions(here.spot.id, time!, signal),
    enabled: !!time,
    placeholderData: keepPreviousData,
  });
  const zone = here.spot.time_zone;
  return (
    <Drawer
      open
      onClose={onClose}
      placement={narrow ? 'bottom' : 'right'}
      size={narrow ? '86dvh' : 560}
      mask={narrow}
      title={
        time ? `${here.spot.name}, ${day(time, zone)} ${clock(time, zone)}` : say.conditionsAt(here.spot.name)
      }
      rootClassName="sheet"
    >
      {q.error && <p role="alert">{q.error.message}</p>}
      {q.data && <Body sheet={q.data} zone={zone} />}
    </Drawer>
  );
}

function Body({ sheet, zone }: { sheet: SheetData; zone: string }) {
  const kinds = useKinds();
  const by = new Map(sheet.readings.map((r) => [r.kind, r]));
  const get = (k: string) => by.get(k);
  return (
    <div className="sheet-body">
      <ul className="sheet-readings" aria-label={say.readings}>
        {kinds.list
          .filter((n) => !n.alongside)
          .map((n) => {
            const c = get(n.kind);
            return c ? <Reading key={n.kind} n={n} c={c} sheet={sheet} by={by} zone={zone} /> : null;
          })}
      </ul>
      <Forecast sheet={sheet} zone={zone} />
      <h3>{say.theWater}</h3>
      <dl className="sheet-facts">
        <Fact name={say.tide} c={get('tide_level_m')}>
          {say.tideAsItStands(
            sheet.stage.says,
            depth(get('tide_level_m')?.value ?? 0),
            depth(sheet.stage.range_m),
            sheet.stage.direction === 'flood',
            fixed(get('tide_strength_pct')?.value ?? 0, 0),
          )}
        </Fact>
        {get('tide_surge_m') && (
          <Fact name={say.surge} c={get('tide_surge_m')}>
            {say.fading(signed(get('tide_surge_m')!.value))}
          </Fact>
        )}
        {get('current_ms') && (
          <Fact name={say.current} c={get('current_ms')}>
            {show('run', Math.abs(get('current_ms')!.value))}{' '}
            {get('current_ms')!.value >= 0 ? say.withTheFlood : say.withTheEbb}
          </Fact>
        )}
        <Fact name={say.surface} c={get('wind_wave_m')}>
          {say.wavesOfOverOfWater(
            get('wind_wave_m')?.says,
            show('tackle', get('wind_wave_m')?.value ?? 0),
            distance(sheet.surface.fetch_m),
          )}
        </Fact>
        <Fact name={say.sun} c={get('sun_altitude_deg')}>
          {say.onTheWater(fixed(get('sun_altitude_deg')?.value ?? 0, 0), get('surface_light_lx')?.says)}
        </Fact>
        <Fact name={say.moon} c={get('moon_illumination')}>
          {say.lit(
            get('moon_illumination')?.says,
            fixed((get('moon_illumination')?.value ?? 0) * 100, 0),
            get('days_from_full')?.says,
          )}
        </Fact>
      </dl>
      <h3>{say.lightBelowAndWhatShows}</h3>
      <LightColumn bands={sheet.bands} />
      <h3>{say.warmthOverEachMark}</h3>
      <p className="quiet small">{say.workedOutFromSunCloud(sheet.water_temp_trend?.says)}</p>
      <WarmthChart warmth={sheet.warmth} at={Date.parse(sheet.time)} zone={zone} />
      <h3>{say.whatTheWordsForClarity}</h3>
      <p className="quiet small">
        {say.howDeepAWhitePlate(
          sheet.clarity_words
            .map((w) => say.to2(w.word, number('depth', w.from_m, 1), show('depth', w.to_m, 1)))
            .join(', '),
        )}
      </p>
    </div>
  );
}

const signed = (m: number) => `${m >= 0 ? '+' : ''}${depth(m)}`;
function Fact({ name, c, children }: { name: string; c?: Condition; children: React.ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        <span className={`cond ${c?.origin ?? 'predicted'}`} title={c?.source}>
          <b>{children}</b>
        </span>
      </dd>
    </div>
  );
}

function Reading(props: {
  n: Nature;
  c: Condition;
  sheet: SheetData;
  by: Map<string, Condition>;
  zone: string;
}) {
  const { n, c, sheet, by, zone } = props;
  const alsoIs = useKinds().alongside(n.kind);
  const also = alsoIs && by.get(alsoIs.kind);
  const [open, setOpen] = useState(false);
  const history = sheet.history.find((h) => h.kind === n.kind);
  return (
    <li>
      <span className="sheet-name">{n.name}</span>
      <span className="sheet-value">
        <b>
          {alsoIs && also ? `${write(alsoIs, also.value)} ` : ''}
          {write(n, c.value)}
        </b>
        {c.says && <span className="quiet small sheet-word">{c.says}</span>}
      </span>
      <Spark points={history?.points ?? []} at={Date.parse(sheet.time)} />
      <Popover
        open={open}
        onOpenChange={setOpen}
        trigger="click"
        placement="bottomRight"
        destroyOnHidden
        content={<Overrule kind={n.kind} believed={c} also={also} onDone={() => setOpen(false)} />}
      >
        <button
          className={`cond ${c.source === theAngler ? 'observed' : c.origin}`}
          title={say.changeIt2(c.source)}
        >
          {c.source === theAngler ? say.you : c.origin}
          <span className="small"> {Math.abs(c.age_s) < 60 ? '' : aged(c.age_s)}</span>{' '}
          <span className="unseen">{say.changeIt3(n.name, day(c.time, zone))}</span>
        </button>
      </Popover>
    </li>
  );
}

/** Where the forecast stands; plainly when it is old or the service fails. */
function Forecast({ sheet, zone }: { sheet: SheetData; zone: string }) {
  const f = sheet.forecast;
  if (!f) return <p className="quiet small">{say.noForecastIsSetUp}</p>;
  return (
    <p className="quiet small">
      {sentences(
        f.issued_at
          ? say.forecastIssued(day(f.issued_at, zone), clock(f.issued_at, zone), aged(f.age_s ?? 0))
          : say.noForecastHasComeYet,
        f.problem && say.theLastTryFailedThe(f.problem),
      )}
    </p>
  );
}
