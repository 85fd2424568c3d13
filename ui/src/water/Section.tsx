import { axis, unitOf } from '../format/spoken';
import { scaleLinear } from 'd3-scale';
import { useMemo, useRef } from 'react';
import type { Frame, RibbonData, Spell, SpotDetail } from '../api/client';
import { metres } from '../format/measure';
import { clock } from '../format/time';
import { LogDots } from './LogDots';
import { useWidth } from '../ribbon/useWidth';
import { water as say } from '../words/water';

type Props = {
  spot: SpotDetail;
  frame: Frame;
  turns: RibbonData['turns'];
  range?: { lowest_m: number; highest_m: number };
  /** Spells of the log to be drawn where they were fished. */
  log?: readonly Spell[];
};

/** The ground of a spot in section with the water in it, to scale (heights stretched, and said so). */
export function Section({ spot, frame, turns, range, log }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const narrow = width < 560;
  const height = narrow ? 330 : Math.min(560, Math.max(340, window.innerHeight - 372));
  const pad = { top: narrow ? 66 : 58, right: 8, bottom: 26, left: 8 };

  const drawn = useMemo(() => {
    const p = spot.section;
    if (width === 0 || p.length < 2) return null;
    const lows = p.map((q) => q.elevation_m);
    const dMin = p[0]!.distance_m;
    const dMax = p[p.length - 1]!.distance_m;
    const bottom = Math.min(...lows) - 0.35;
    const top = Math.max((range?.highest_m ?? 1.5) + 0.75, Math.min(Math.max(...lows), 2.2));
    const x = scaleLinear([dMin, dMax], [pad.left, width - pad.right]);
    const y = scaleLinear([bottom, top], [height - pad.bottom, pad.top]);
    const surface = p.map(
      (q) => `${x(q.distance_m).toFixed(1)} ${y(Math.min(q.elevation_m, top + 1)).toFixed(1)}`,
    );
    const ground = `M${surface.join('L')}L${x(dMax)} ${height - pad.bottom}L${x(dMin)} ${height - pad.bottom}Z`;
    const stretch = Math.abs(y(0) - y(1)) / Math.abs(x(1) - x(0));
    return { x, y, ground, crust: `M${surface.join('L')}`, stretch, dMin, dMax };
  }, [spot.section, width, height, range?.highest_m, pad.left, pad.right, pad.top, pad.bottom]);

  const elevation = (d: number) => {
    const p = spot.section;
    const i = Math.max(
      1,
      p.findIndex((q) => q.distance_m >= d),
    );
    const a = p[i - 1]!;
    const b = p[i]!;
    return (
      a.elevation_m + ((b.elevation_m - a.elevation_m) * (d - a.distance_m)) / (b.distance_m - a.distance_m)
    );
  };

  const level = frame.level_m;
  // The turns on either side of the moment, as lines the water will reach or has left.
  const at = Date.parse(frame.time);
  const ghosts = [
    turns.filter((k) => Date.parse(k.time) <= at - 60000).pop(),
    turns.find((k) => Date.parse(k.time) > at + 60000),
  ];

  // Their labels end before the outermost stem.
  const outermost = Math.max(0, ...spot.marks.map((k) => k.distance_m));
  const free = width - pad.right - 6;
  const ghostAt = drawn && spot.marks.length > 0 ? Math.min(drawn.x(outermost) - 10, free) : free;

  return (
    <div className="section" ref={box}>
      {drawn && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={say.sectionOf(spot.name, describe(spot, frame))}
        >
          <defs>
            <linearGradient id="section-water" x1="0" y1="0" x2="0" y2="1">
              <stop offset="0" stopColor="var(--water-top)" />
              <stop offset="0.45" stopColor="var(--water-mid)" />
              <stop offset="1" stopColor="var(--water-deep)" />
            </linearGradient>
            <linearGradient id="section-earth" x1="0" y1="0" x2="0" y2="1">
              <stop offset="0.25" stopColor="var(--ground)" />
              <stop offset="1" stopColor="var(--ground-deep)" />
            </linearGradient>
            <clipPath id="section-ground">
              <path d={drawn.ground} />
            </clipPath>
            <Grains />
          </defs>
          <rect
            x={pad.left}
            y={drawn.y(level)}
            width={width - pad.left - pad.right}
            height={Math.max(height - pad.bottom - drawn.y(level), 0)}
            fill="url(#section-water)"
          />
          {drawn.y(level - frame.dark_below_m) < height - pad.bottom - 4 && (
            <g className="gloom">
              <rect
                x={pad.left}
                y={drawn.y(level - frame.dark_below_m)}
                width={width - pad.left - pad.right}
                height={height - pad.bottom - drawn.y(level - frame.dark_below_m)}
              />
            </g>
          )}
          <g clipPath="url(#section-ground)">
            <rect
              x={pad.left}
              y={0}
              width={width - pad.left - pad.right}
              height={height - pad.bottom}
              fill="var(--ground)"
            />
            {stretches(spot, drawn.dMin, drawn.dMax).map((s) =>
              // Three layers, so that the texture fades downwards.
              [16, 30, 46].map((thick) => (
                <path
                  key={`${s.from} ${thick}`}
                  d={crust(s.from, s.to, (d) => drawn.y(elevation(d)), drawn.x, thick)}
                  fill={`url(#grain-${s.bottom})`}
                  opacity={0.36}
                />
              )),
            )}
          </g>
          {ghosts.map((k) =>
            k ? (
              <g key={k.time} className="ghost">
                <line
                  x1={pad.left}
                  x2={width - pad.right}
                  y1={drawn.y(k.height_m)}
                  y2={drawn.y(k.height_m)}
                />
                <text x={ghostAt} y={drawn.y(k.height_m) - 5} textAnchor="end">
                  {k.kind} {clock(k.time, spot.time_zone)}
                </text>
              </g>
            ) : null,
          )}
          <path
            d={drawn.crust}
            fill="none"
            stroke="var(--ground-line)"
            strokeWidth={1.6}
            strokeLinejoin="round"
          />
          <Surface {...{ drawn, level, spot }} />
          {frame.white.length > 0 && <Foam {...{ drawn, frame }} />}
          {spot.place === 'pier' && (
            <Pier {...{ drawn, elevation }} marks={spot.marks.map((k) => k.distance_m)} />
          )}
          {labelled(spot.marks, drawn.x, narrow ? 74 : 96, narrow).map(({ mark, x, row }) => {
            const d = frame.depths_m[spot.marks.indexOf(mark)] ?? 0;
            const px = drawn.x(mark.distance_m);
            const py = drawn.y(mark.elevation_m);
            const base = 14 + row * (narrow ? 33 : 0);
            return (
              <g key={mark.id} className={d > 0 ? 'mark' : 'mark dry'}>
                <line x1={px} x2={px} y1={base + 22} y2={py} />
                <circle cx={px} cy={py} r={3.6} />
                <text x={x} y={base} textAnchor="middle" className="mark-name">
                  {narrow ? short(mark.name) : mark.name}
                </text>
                <text x={x} y={base + 17} textAnchor="middle" className="mark-depth">
                  {d > 0 ? metres(d) : say.dry}
                </text>
              </g>
            );
          })}
          {log && <LogDots spells={log} spot={spot} drawn={drawn} />}
          {spot.place !== 'pier' &&
            (spot.manner === 'kayak' || spot.manner === 'boat' ? (
              <Afloat x={drawn.x(deepest(spot))} y={drawn.y(level)} />
            ) : (
              <Angler x={drawn.x(stand(spot, level))} y={drawn.y(elevation(stand(spot, level)))} />
            ))}
          {axis('distance', drawn.x.domain()[0]!, drawn.x.domain()[1]!, narrow ? 4 : 7).map((d) => (
            <text
              key={d.si}
              x={Math.min(Math.max(drawn.x(d.si), 14), width - 22)}
              y={height - 7}
              textAnchor="middle"
              className="axis"
            >
              {d.text === '0' ? '0' : `${d.text} ${unitOf('distance')}`}
            </text>
          ))}
        </svg>
      )}
      {drawn && (
        <p className="stretch quiet small">
          {say.heightsDrawnTimesLargerThan(frame.under_says, Math.round(drawn.stretch))}
        </p>
      )}
    </div>
  );
}

function describe(spot: SpotDetail, frame: Frame): string {
  return spot.marks
    .map((k, i) => `${k.name} ${(frame.depths_m[i] ?? 0) > 0 ? metres(frame.depths_m[i]!) : 'dry'}`)
    .join(', ');
}

/** On a phone the last word is enough: "edge" for "Seaward edge". */
const short = (name: string) => {
  const word = name.length > 9 ? (name.split(' ').pop() ?? name) : name;
  return word.charAt(0).toUpperCase() + word.slice(1);
};

type Drawn = { x: (d: number) => number; y: (m: number) => number };

/** The water's surface where there is water. */
function Surface({ drawn, level, spot }: { drawn: Drawn; level: number; spot: SpotDetail }) {
  const runs: [number, number][] = [];
  let start: number | null = null;
  const p = spot.section;
  for (let i = 0; i < p.length; i++) {
    const wet = p[i]!.elevation_m < level;
    if (wet && start === null) start = i === 0 ? p[0]!.distance_m : crossing(p[i - 1]!, p[i]!, level);
    if (!wet && start !== null) {
      runs.push([start, crossing(p[i - 1]!, p[i]!, level)]);
      start = null;
    }
  }
  if (start !== null) runs.push([start, p[p.length - 1]!.distance_m]);
  return (
    <>
      {runs.map(([a, b]) => (
        <line
          key={a}
          className="surface"
          x1={drawn.x(a)}
          x2={drawn.x(b)}
          y1={drawn.y(level)}
          y2={drawn.y(level)}
        />
      ))}
    </>
  );
}

/** White water where waves break: a ruffle on the surface. */
function Foam({ drawn, frame }: { drawn: Drawn; frame: Frame }) {
  const y = drawn.y(frame.level_m);
  const d = frame.white.map((w) => {
    const from = drawn.x(w.from_m);
    const n = Math.max(Math.round((drawn.x(w.to_m) - from) / 9), 1);
    return `M${from.toFixed(1)} ${y}` + 'a4.5 4.5 0 0 1 9 0'.repeat(n) + `q${(-9 * n) / 2} 7 ${-9 * n} 0z`;
  });
  return <path className="foam" d={d.join('')} />;
}

type P = { distance_m: number; elevation_m: number };
const crossing = (a: P, b: P, level: number) =>
  a.distance_m + ((b.distance_m - a.distance_m) * (level - a.elevation_m)) / (b.elevation_m - a.elevation_m);

/** Which bottom lies where: each mark's reaches half-way to the next. */
function stretches(spot: SpotDetail, from: number, to: number) {
  const marks = [...spot.marks].sort((a, b) => a.distance_m - b.distance_m).filter((m) => m.bottom);
  return marks.map((m, i) => ({
    bottom: m.bottom,
    from: i === 0 ? from : (marks[i - 1]!.distance_m + m.distance_m) / 2,
    to: i === marks.length - 1 ? to : (m.distance_m + marks[i + 1]!.distance_m) / 2,
  }));
}

/** The top layer of the ground between two distances. */
function crust(
  from: number,
  to: number,
  y: (d: number) => number,
  x: (d: number) => number,
  thick: number,
): string {
  const n = 40;
  const along = Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n);
  const top = along.map((d) => `${x(d).toFixed(1)} ${y(d).toFixed(1)}`);
  const under = [...along].reverse().map((d) => `${x(d).toFixed(1)} ${(y(d) + thick).toFixed(1)}`);
  return `M${top.join('L')}L${under.join('L')}Z`;
}

/** Mark labels, pushed apart; on a phone in two rows. */
function labelled<M extends { distance_m: number }>(
  marks: M[],
  x: (d: number) => number,
  apart: number,
  rows: boolean,
) {
  const sorted = [...marks].sort((a, b) => a.distance_m - b.distance_m);
  const out = sorted.map((mark, i) => ({ mark, x: x(mark.distance_m), row: rows ? i % 2 : 0 }));
  for (const row of [0, 1]) {
    const list = out.filter((l) => l.row === row);
    for (let i = 0; i < list.length; i++) {
      list[i]!.x = Math.max(list[i]!.x, apart / 2);
      if (i > 0) list[i]!.x = Math.max(list[i]!.x, list[i - 1]!.x + apart);
    }
  }
  return out;
}

/** Where the angler stands: on the last dry ground before the water. */
function stand(spot: SpotDetail, level: number): number {
  const p = spot.section;
  const wet = p.findIndex((q) => q.elevation_m < level + 0.05);
  const first = p[0]!.distance_m;
  const last = p[p.length - 1]!.distance_m;
  const at = p[Math.max(wet - 2, 0)]!.distance_m;
  return Math.max(at, first + (last - first) * 0.018);
}

function Angler({ x, y }: { x: number; y: number }) {
  return (
    <g className="angler" transform={`translate(${x} ${y})`} aria-hidden="true">
      <circle cy={-31} r={4} />
      <path d="M0 -27V-13M0 -13L-4 0M0 -13L4 0M0 -24L7 -19L20 -34" />
    </g>
  );
}

/** Where one floats: over the deepest ground, a little to the side of what is written there. */
function deepest(spot: SpotDetail): number {
  const low = spot.section.reduce((a, b) => (b.elevation_m < a.elevation_m ? b : a));
  const first = spot.section[0]!.distance_m;
  const last = spot.section[spot.section.length - 1]!.distance_m;
  return Math.min(Math.max(low.distance_m, first + (last - first) * 0.1), last - (last - first) * 0.1);
}

function Afloat({ x, y }: { x: number; y: number }) {
  return (
    <g className="angler" transform={`translate(${x} ${y})`} aria-hidden="true">
      <path d="M-26 -4C-14 4 14 4 26 -4C10 -1 -10 -1 -26 -4Z" className="hull" />
      <circle cy={-22} r={4} />
      <path d="M0 -18V-4L12 -4M0 -15L8 -11L20 -27" />
    </g>
  );
}

function Pier(props: {
  drawn: Drawn & { dMin: number; dMax: number };
  elevation: (d: number) => number;
  marks: number[];
}) {
  const { drawn, elevation, marks } = props;
  const from = drawn.dMin + 6;
  const to = drawn.dMax - 4;
  const deck = drawn.y(2.45);
  // Between the two outer marks, clear of their labels.
  const at = marks.length > 1 ? (marks[marks.length - 1]! + marks[marks.length - 2]!) / 2 : to - 8;
  const piles = [];
  for (let d = from + 12; d <= to; d += (to - from) / 9) piles.push(d);
  return (
    <g className="pier" aria-hidden="true">
      {piles.map((d) => (
        <line key={d} x1={drawn.x(d)} x2={drawn.x(d)} y1={deck} y2={drawn.y(elevation(d)) + 8} />
      ))}
      <path d={`M${drawn.x(from)} ${deck}H${drawn.x(to)}`} className="deck" />
      <Angler x={drawn.x(at)} y={deck - 2} />
    </g>
  );
}

/** Quiet textures: each bottom has its own. */
function Grains() {
  return (
    <>
      <pattern id="grain-sand" width="9" height="8" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="0.8" className="grain-fill" />
        <circle cx="6.5" cy="6" r="0.8" className="grain-fill" />
      </pattern>
      <pattern id="grain-mud" width="16" height="7" patternUnits="userSpaceOnUse">
        <path d="M1 2.5h6M9 5.5h5" className="grain-line" />
      </pattern>
      <pattern id="grain-shell" width="11" height="8" patternUnits="userSpaceOnUse">
        <path
          d="M1 5a2.4 2.4 0 0 1 4.8 0M6.5 2.4a2 2 0 0 1 4 0M6.5 7.4a2 2 0 0 1 4 0"
          className="grain-line"
        />
      </pattern>
      <pattern id="grain-grass" width="9" height="10" patternUnits="userSpaceOnUse">
        <path d="M2 8V2M4 8l2-5M8 9V5" className="grain-line" />
      </pattern>
      <pattern id="grain-rock" width="14" height="11" patternUnits="userSpaceOnUse">
        <path d="M1 9L5 2L10 4L13 9Z" className="grain-line" />
      </pattern>
      <pattern id="grain-timber" width="12" height="8" patternUnits="userSpaceOnUse">
        <path d="M0 3h12M3 3v5M8 3v3" className="grain-line" />
      </pattern>
    </>
  );
}
