import { useState } from 'react';
import { law as say } from '../words/law';

type Measure = 'total' | 'fork' | 'pinched';

/** Where the ends of the tail lie on the board, mm of the drawing. */
const ends = { fork: 296, total: 330, pinched: 346 } as const;

/** How a rule measures a fish, drawn on a board with its stop at zero, for either hand. */
export function HowMeasured({ measure, asked }: { measure: Measure; asked: boolean }) {
  const [left, setLeft] = useState(true);
  const end = ends[measure];
  const back = 'M24 84 C48 46 104 34 158 40 C206 45 240 62 262 72 ';
  const belly = ' C240 100 206 120 158 124 C104 128 52 118 24 84 Z';
  const tail =
    measure === 'pinched'
      ? 'C286 75 320 78 346 79 L346 83 C320 84 286 87 262 90'
      : 'C284 70 308 54 330 36 C318 58 304 72 296 81 C304 90 318 104 330 126 C308 108 284 92 262 90';
  const x = (at: number) => (left ? at : 380 - at);
  return (
    <figure className="measured">
      <svg viewBox="0 14 380 166" role="img" aria-label={say.measured[measure]}>
        <g transform={left ? undefined : 'translate(380 0) scale(-1 1)'}>
          <rect x="14" y="18" width="10" height="128" className="stop" />
          <rect x="14" y="134" width="356" height="12" className="board" />
          {Array.from({ length: 35 }, (_, i) => (
            <line
              key={i}
              x1={24 + i * 10}
              x2={24 + i * 10}
              y1={134}
              y2={i % 5 === 0 ? 144 : 140}
              className="tick"
            />
          ))}
          <path className="fish fin" d="M108 42 C130 16 178 16 210 48 C176 44 140 40 108 42 Z" />
          <path className="fish" d={back + tail + belly} />
          <path className="line" d="M88 58 C98 76 98 96 86 116" />
          <circle cx="56" cy="74" r="4" className="eye" />
          <path className="line" d="M24 84 L46 90" />
          <line x1="24" x2={end} y1="160" y2="160" className="length" />
          <line
            x1={end}
            x2={end}
            y1={measure === 'fork' ? 81 : measure === 'total' ? 36 : 81}
            y2="166"
            className="drop"
          />
        </g>
        <text x={x((24 + end) / 2)} y="175" textAnchor="middle">
          {say.measureNames[measure]}
        </text>
      </svg>
      <figcaption className="small">
        {say.measured[measure]} {!asked && say.whereNoRuleSays}{' '}
        <button className="plain small" onClick={() => setLeft(!left)}>
          {left ? say.noseRight : say.noseLeft}
        </button>
      </figcaption>
    </figure>
  );
}
