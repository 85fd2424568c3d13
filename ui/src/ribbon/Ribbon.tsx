import { number } from '../format/spoken';
import { useQuery } from '@tanstack/react-query';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { memo, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { api, type Frame, type RibbonData, type Spell, type Visit } from '../api/client';
import { metres, rate } from '../format/measure';
import { clock, day, dayShort, hourMark, hourThere } from '../format/time';
import { nearest, useGoing, useMoment, usePlace } from '../moment/moment';
import { Key } from './Key';
import { spread } from './spread';
import { SurfaceRun } from './SurfaceRun';
import { useWidth } from './useWidth';
import { Visits } from './Visits';
import './ribbon.css';
import { ribbon as say } from '../words/ribbon';

interface Pad {
  top: number;
  right: number;
  bottom: number;
  left: number;
}
const widePad: Pad = { top: 56, right: 112, bottom: 22, left: 24 };
const narrowPad: Pad = { top: 50, right: 10, bottom: 22, left: 10 };
const noSpells: Spell[] = [];

/** A ribbon laid out for its width. */
interface Layout {
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
  gloom: string;
  bare: string;
  lines: RibbonData['lines'];
  fill: string;
  edge: string;
  ticks: { at: number; label: string; day: boolean }[];
}

/**
 * About 36 hours of the water's level as a filled shore, with daylight behind it and the spot's own marks as
 * lines across it. Dragging it moves the moment.
 */
export function Ribbon({ onFold }: { onFold?: (() => void) | undefined }) {
  const here = usePlace();
  const moment = useMoment();
  const going = useGoing();
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const narrow = width < 640;
  const height = narrow ? 152 : 190;
  const pad = narrow ? narrowPad : widePad;
  const r = moment.ribbon;
  const log = useQuery({
    queryKey: ['spells', 'ribbon', here.spot.id, r?.from],
    queryFn: () => api.spells({ spot_id: here.spot.id, from: r!.from, to: r!.to }),
    enabled: !!r,
  });

  const drawn = useMemo((): Layout | null => {
    if (!r || width === 0) return null;
    const t = (s: string) => Date.parse(s);
    const x = scaleLinear([t(r.from), t(r.to)], [pad.left, width - pad.right]);
    // A line the tide does not come near would only flatten it.
    const lines = r.lines.filter((l) => l.level_m > r.lowest_m - 0.45 && l.level_m < r.highest_m + 0.45);
    const levels = [r.lowest_m, r.highest_m, ...lines.map((l) => l.level_m)];
    const y = scaleLinear(
      [Math.min(...levels) - 0.12, Math.max(...levels) + 0.08],
      [height - pad.bottom, pad.top],
    );
    const shape = area<{ time: string; level_m: number }>()
      .x((f) => x(t(f.time)))
      .y0(height - pad.bottom)
      .y1((f) => y(f.level_m))
      .curve(curveMonotoneX);
    const top = line<{ time: string; level_m: number }>()
      .x((f) => x(t(f.time)))
      .y((f) => y(f.level_m))
      .curve(curveMonotoneX);
    const ticks: { at: number; label: string; day: boolean }[] = [];
    const every = narrow ? 6 : 3;
    for (let h = Math.ceil(t(r.from) / 3600_000) * 3600_000; h <= t(r.to); h += 3600_000) {
      const there = hourThere(new Date(h), here.spot.time_zone);
      if (there % every === 0) {
        ticks.push({
          at: h,
          day: there === 0,
          label: there === 0 ? day(new Date(h), here.spot.time_zone) : hourMark(there),
        });
      }
    }
    const bottom = height - pad.bottom;
    // Below this it is dark: the water's own night.
    const gloom = area<Frame>()
      .x((f) => x(t(f.time)))
      .y0(bottom)
      .y1((f) => Math.min(y(f.level_m - f.dark_below_m), bottom))
      .curve(curveMonotoneX);
    // The prediction, where a surge lifts the water off it.
    const bare = line<Frame>()
      .x((f) => x(t(f.time)))
      .y((f) => y(f.level_m - f.surge_m))
      .curve(curveMonotoneX);
    return {
      gloom: gloom(r.frames) ?? '',
      bare: r.frames.some((f) => Math.abs(f.surge_m) > 0.005) ? (bare(r.frames) ?? '') : '',
      x,
      y,
      lines,
      fill: shape(r.frames) ?? '',
      edge: top(r.frames) ?? '',
      ticks,
    };
  }, [r, width, height, narrow, here.spot.time_zone, pad]);

  const drag = (e: PointerEvent<SVGSVGElement>) => {
    if (!r || !drawn || (e.type === 'pointermove' && e.buttons === 0)) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    const at = drawn.x.invert(e.clientX - e.currentTarget.getBoundingClientRect().left);
    moment.moveTo(nearest(r.frames, at));
  };
  const keys = (e: KeyboardEvent) => {
    const act: Record<string, () => void> = {
      ArrowLeft: () => moment.step(-1),
      ArrowRight: () => moment.step(1),
      PageUp: () => moment.turn(1),
      PageDown: () => moment.turn(-1),
      Home: () => moment.moveTo(0),
      End: () => r && moment.moveTo(r.frames.length - 1),
    };
    if (act[e.key]) {
      e.preventDefault();
      act[e.key]!();
    }
  };

  const f = moment.frame;
  const zone = here.spot.time_zone;
  const turns = f && r && drawn ? placed(r.turns, drawn, pad, width, narrow, Date.parse(f.time)) : [];
  return (
    <section className="ribbon" aria-label={say.tideRibbon} ref={box}>
      {moment.error && !r && <p className="ribbon-error">{moment.error}</p>}
      {drawn && r && f && (
        <>
          <svg
            width={width}
            height={height}
            role="slider"
            tabIndex={0}
            aria-label={say.moment}
            aria-valuemin={0}
            aria-valuemax={r.frames.length - 1}
            aria-valuenow={moment.index}
            aria-valuetext={`${day(f.time, zone)} ${clock(f.time, zone)}, ${metres(f.level_m)}, ${f.stage}`}
            data-time={f.time}
            onPointerDown={drag}
            onPointerMove={drag}
            onKeyDown={keys}
          >
            <Bed
              {...{ r, drawn, pad, width, height, narrow, zone }}
              visits={going.visits}
              spells={log.data?.spells ?? noSpells}
            />
            {turns.map((k) => (
              <text key={k.time} className={`turn ${k.kind}`} x={k.x} y={k.y} textAnchor="middle">
                {clock(k.time, zone)}
                {!narrow && <tspan className="level"> {number('depth', k.height_m)}</tspan>}
              </text>
            ))}
            <g className="now" transform={`translate(${drawn.x(Date.parse(f.time))} 0)`}>
              <line y1={narrow ? 18 : 20} y2={height - pad.bottom} />
              <circle cy={drawn.y(f.level_m)} r={6.5} />
            </g>
          </svg>
          <MomentLabel x={drawn.x(Date.parse(f.time))} width={width} narrow={narrow} />
          <div className="ribbon-pages">
            <button onClick={() => moment.page(-24)} aria-label={say.aDayBack} title={say.aDayBack}>
              ‹
            </button>
            <button onClick={() => moment.moveTime(here.present())} title={say.toThePresent}>
              {say.now}
            </button>
            <button onClick={() => moment.page(24)} aria-label={say.aDayOn} title={say.aDayOn}>
              ›
            </button>
            <Key />
            {onFold && (
              <button onClick={onFold} aria-label={say.foldTheRibbon} title={say.foldTheRibbon}>
                ⌄
              </button>
            )}
          </div>
        </>
      )}
    </section>
  );
}

/** Where the labels of the turns stand; beside the moment's line they step aside. */
function placed(
  list: RibbonData['turns'],
  drawn: Layout,
  pad: Pad,
  width: number,
  narrow: boolean,
  at: number,
) {
  const now = drawn.x(at);
  return list.flatMap((k) => {
    const x = drawn.x(Date.parse(k.time));
    const near = Math.abs(x - now);
    if (x < pad.left + 24 || x > width - pad.right - (narrow ? 84 : 24) || (narrow && near < 36)) return [];
    const shift = near < 46 ? (x >= now ? 46 - near : near - 46) : 0;
    return [{ ...k, x: x + shift, y: drawn.y(k.height_m) + (k.kind === 'high' ? 17 : -9) }];
  });
}

/** What does not move with the moment; it is drawn once for a ribbon. */
const Bed = memo(function Bed(props: {
  r: RibbonData;
  drawn: Layout;
  pad: Pad;
  width: number;
  height: number;
  narrow: boolean;
  zone: string;
  visits: Visit[];
  spells: Spell[];
}) {
  const { r, drawn, pad, width, height, narrow, zone, visits, spells } = props;
  // Where they stand while the moment is elsewhere: springs and neaps keep clear of them.
  const turns = placed(r.turns, drawn, pad, width, narrow, NaN);
  const inView = (x: number) => x >= pad.left && x <= width - pad.right;
  return (
    <>
      <defs>
        <linearGradient id="ribbon-water" x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stopColor="var(--water-mid)" />
          <stop offset="1" stopColor="var(--water-deep)" />
        </linearGradient>
      </defs>
      <Dark spans={r.twilight} {...{ drawn, r, pad, height }} fill="var(--night)" />
      <Dark spans={r.daylight} {...{ drawn, r, pad, height }} fill="var(--twilight)" />
      <path d={drawn.fill} fill="url(#ribbon-water)" />
      <path className="gloom" d={drawn.gloom} />
      {drawn.bare && <path className="bare" d={drawn.bare} />}
      <path d={drawn.edge} fill="none" stroke="var(--surface)" strokeWidth={1.4} />
      {spread(
        drawn.lines.map((l) => ({ ...l, at: drawn.y(l.level_m) })),
        narrow ? 13 : 15,
      ).map((l) => (
        <g key={l.says + l.level_m} className={l.danger ? 'limit danger' : 'limit'}>
          <line x1={pad.left} x2={width - pad.right} y1={l.at} y2={l.at} />
          <text
            x={narrow ? width - pad.right - 4 : width - pad.right + 8}
            y={narrow ? l.label - 3 : l.label + 4}
            textAnchor={narrow ? 'end' : 'start'}
          >
            {l.says}
          </text>
        </g>
      ))}
      <Visits y={pad.top - 26} x={drawn.x} ribbon={r} visits={visits} zone={zone} />
      {r.surfaces.map((s) => (
        <SurfaceRun key={s.from} run={s} x={drawn.x} y={pad.top - 8} />
      ))}
      {r.peaks
        .map((peak) => ({ peak, x: drawn.x(Date.parse(peak.time)) }))
        // A narrow one has room for what lies beyond it only where nothing lies on it.
        .filter(({ x }, _, all) => !narrow || inView(x) || !all.some((k) => inView(k.x)))
        .map(({ peak, x }) => (
          <PeakMark key={peak.time} {...{ peak, x, pad, width, height, narrow, zone, turns }} />
        ))}
      {drawn.ticks.map((k) => (
        <g key={k.at} className="tick">
          <line
            x1={drawn.x(k.at)}
            x2={drawn.x(k.at)}
            y1={height - pad.bottom}
            y2={height - pad.bottom + (k.day ? 7 : 4)}
          />
          <text
            x={Math.min(drawn.x(k.at), width - 30)}
            y={height - 5}
            textAnchor="middle"
            fontWeight={k.day ? 650 : 400}
          >
            {k.label}
          </text>
        </g>
      ))}
      {spells.map((s) => (
        <Pebble
          key={s.id}
          x={drawn.x((Date.parse(s.started_at) + Date.parse(s.ended_at)) / 2)}
          y={drawn.y(s.tide_level_m)}
          full={!s.blank}
          title={`${clock(s.started_at, zone)} ${s.blank ? 'blank' : say.caught(s.catches.length)}`}
        />
      ))}
    </>
  );
});

/** The moment in words, over its line and kept on screen. */
function MomentLabel({ x, width, narrow }: { x: number; width: number; narrow: boolean }) {
  const { spot } = usePlace();
  const { frame: f } = useMoment();
  if (!f) return null;
  const half = narrow ? 106 : 128;
  const left = Math.min(Math.max(x, half + 4), width - half - (narrow ? 94 : 100));
  return (
    <div className="moment-label" style={{ left }}>
      <b>{clock(f.time, spot.time_zone)}</b> {metres(f.level_m)}{' '}
      {f.slack ? say.slack : `${f.rate_m_per_h > 0 ? 'rising' : 'falling'} ${rate(f.rate_m_per_h)}`}
    </div>
  );
}

/** Springs or neaps: on the ribbon where they fall, else said at the edge they lie beyond. */
function PeakMark(props: {
  peak: RibbonData['peaks'][number];
  x: number;
  pad: { left: number; right: number; bottom: number };
  width: number;
  height: number;
  narrow: boolean;
  zone: string;
  /** Labels of turns, which it keeps clear of. */
  turns: { x: number; y: number }[];
}) {
  const { peak, x, pad, width, height, narrow, zone } = props;
  const name = peak.springs ? 'springs' : 'neaps';
  if (x < pad.left) return null;
  // At the foot, or above whatever label stands there.
  const wide = narrow ? 40 : 58;
  const left = x > width - pad.right ? (narrow ? pad.left + 6 : width - pad.right - 6 - wide * 2) : x - wide;
  const free = (y: number) =>
    !props.turns.some((k) => Math.abs(k.y - y) < 15 && k.x + wide > left && k.x - wide < left + wide * 2);
  const foot = height - pad.bottom - 6;
  const y = [foot, foot - 18, foot - 36, foot - 54].find(free) ?? foot;
  // On a phone the right edge belongs to the lines' names.
  if (x > width - pad.right)
    return (
      <text
        className="peak"
        x={narrow ? pad.left + 6 : width - pad.right - 6}
        y={y}
        textAnchor={narrow ? 'start' : 'end'}
      >
        {name} {narrow ? dayShort(peak.time, zone) : day(peak.time, zone)} ›
      </text>
    );
  return (
    <text
      className="peak"
      x={Math.min(Math.max(x, pad.left + 26), width - pad.right - 26)}
      y={y}
      textAnchor="middle"
    >
      {name}
    </text>
  );
}

type Drawn = { x: (t: number) => number };

/** Everything outside the spans, shaded. */
function Dark(props: {
  spans: { from: string; to: string }[];
  drawn: Drawn;
  r: { from: string; to: string };
  pad: { top: number; bottom: number };
  height: number;
  fill: string;
}) {
  const { spans, drawn, r, pad, height, fill } = props;
  const edges = [r.from, ...spans.flatMap((s) => [s.from, s.to]), r.to];
  const gaps = [];
  for (let i = 0; i + 1 < edges.length; i += 2) {
    const a = drawn.x(Date.parse(edges[i]!));
    const b = drawn.x(Date.parse(edges[i + 1]!));
    if (b - a > 0.5) {
      gaps.push(
        <rect key={i} x={a} y={pad.top} width={b - a} height={height - pad.top - pad.bottom} fill={fill} />,
      );
    }
  }
  return <>{gaps}</>;
}

/** A spell on the water line: filled with a catch, hollow when blank. */
function Pebble({ x, y, full, title }: { x: number; y: number; full: boolean; title: string }) {
  return (
    <ellipse className={full ? 'pebble full' : 'pebble'} cx={x} cy={y} rx={6.5} ry={5}>
      <title>{title}</title>
    </ellipse>
  );
}
