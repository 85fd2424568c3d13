import type { RibbonData } from '../api/client';

type Run = RibbonData['surfaces'][number];

/** Height, length and weight of the drawn wave for each surface. */
const shapes = {
  glassy: { height: 0, length: 10, weight: 1.2 },
  ripple: { height: 1.6, length: 9, weight: 1.2 },
  chop: { height: 3.6, length: 11, weight: 1.6 },
  rough: { height: 6, length: 12, weight: 2.4 },
} as const;

/** The surface of the water over a stretch of time, drawn as it would look from the side, and named where it fits. */
export function SurfaceRun({ run, x, y }: { run: Run; x: (t: number) => number; y: number }) {
  const a = x(Date.parse(run.from));
  const b = x(Date.parse(run.to));
  const name = run.word;
  const s = shapes[name];
  const word = b - a > 84 ? name : '';
  const gap = word ? word.length * 6.6 + 10 : 0;
  const middle = (a + b) / 2;
  return (
    <g className="surface-run">
      <path d={wave(a + 1, middle - gap / 2, y, s)} strokeWidth={s.weight} />
      <path d={wave(middle + gap / 2, b - 1, y, s)} strokeWidth={s.weight} />
      {word && (
        <text x={middle} y={y + 4} textAnchor="middle">
          {word}
        </text>
      )}
      <title>{name}</title>
    </g>
  );
}

/** Crests pointed up, troughs round: arcs from crest to crest. */
function wave(from: number, to: number, y: number, s: { height: number; length: number }): string {
  if (to - from < 2) return '';
  if (s.height === 0) return `M${from} ${y}H${to}`;
  const n = Math.max(1, Math.round((to - from) / s.length));
  const step = (to - from) / n;
  let d = `M${from} ${y - s.height / 2}`;
  for (let i = 0; i < n; i++) d += `q${step / 2} ${s.height * 2} ${step} 0`;
  return d;
}
