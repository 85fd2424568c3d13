import { Button } from 'antd';
import { useState } from 'react';
import { NumberField } from '../format/NumberField';
import { way } from '../format/spoken';
import { law as say } from '../words/law';
import { cardM, scaleOf, stripsOf } from './ruler';

/** How wide a strip may be on a sheet that lies on its side, and how long the ruler is, metres. */
const sheet = 0.255;
const longest = 1;

const mm = (m: number) => `${m * 1000}mm`;

/** A ruler to print in true scale, in strips; a card drawn beside it shows whether it came out true. */
export function Ruler() {
  const inches = way('fish_length').unit === 'in';
  const [card, setCard] = useState<number>();
  const k = scaleOf(card);
  const unit = inches ? 0.0254 : 0.01;
  const parts = inches ? 8 : 10;
  return (
    <section className="panel ruler">
      <div className="no-print">
        <h1>{say.ruler}</h1>
        <p>{say.rulerSays}</p>
        <label>
          {say.cardCameOut}
          <NumberField measure="tackle" decimals={2} min={0.04} max={0.16} value={card} onChange={setCard} />
        </label>
        <p className="quiet small">{k === 1 ? say.rulerTrue : say.rulerScaled(Math.round(k * 1000) / 10)}</p>
        <Button type="primary" onClick={() => window.print()}>
          {say.printIt}
        </Button>
      </div>
      <div className="ruler-sheet">
        {stripsOf(longest, sheet, unit).map((s) => {
          const n = Math.round((s.to - s.from) / unit);
          const first = Math.round(s.from / unit);
          return (
            <svg
              key={s.from}
              className="ruler-strip"
              role="img"
              aria-label={say.stripOf(first, first + n, inches ? 'in' : 'cm')}
              style={{ width: mm((s.to - s.from) * k), height: '16mm' }}
              viewBox={`0 0 ${(s.to - s.from) * 1000} 16`}
              preserveAspectRatio="none"
            >
              {Array.from({ length: n * parts + 1 }, (_, i) => {
                const x = (i * unit * 1000) / parts;
                const long = i % parts === 0 ? 9 : i % (parts / 2) === 0 ? 6 : 3.5;
                return <line key={i} x1={x} x2={x} y1={0} y2={long} />;
              })}
              {Array.from({ length: n }, (_, i) => (
                <text key={i} x={(i + 1) * unit * 1000 - 0.6} y={14} textAnchor="end">
                  {first + i + 1}
                </text>
              ))}
            </svg>
          );
        })}
        <div className="ruler-card" style={{ width: mm(cardM * k), height: mm(0.05398 * k) }}>
          {say.layACard}
        </div>
        <p className="small">{say.gluedOn}</p>
      </div>
    </section>
  );
}
