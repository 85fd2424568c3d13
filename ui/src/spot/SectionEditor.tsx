import { NumberField } from '../format/NumberField';
import { axis, depth, distance, unitOf } from '../format/spoken';
import { Button } from 'antd';
import { scaleLinear } from 'd3-scale';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { api, type SectionPoint } from '../api/client';
import { useWidth } from '../ribbon/useWidth';
import { ChooseFile } from '../file/ChooseFile';
import { between, moved, without } from './points';
import { spot as say } from '../words/spot';

const height = 260;
const pad = { top: 22, right: 14, bottom: 24, left: 40 };

/** The ground drawn by hand: drag points, touch the line for a new one, type, or bring a file. */
/** Units as they begin a sentence. */
const words: Record<string, string> = { m: say.metres, ft: say.feet, yd: say.yards };

export function SectionEditor(props: {
  section: SectionPoint[];
  levelM: number;
  lowM: number;
  highM: number;
  onChange: (s: SectionPoint[]) => void;
}) {
  const { section, levelM, lowM, highM, onChange } = props;
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const [held, setHeld] = useState<number>();
  const [scale, setScale] = useState<{ far: number; bottom: number; top: number }>();
  const [error, setError] = useState('');

  const heights = section.map((p) => p.elevation_m);
  const now = scale ?? {
    far: Math.max(40, ...section.map((p) => p.distance_m)) * 1.05,
    bottom: Math.min(lowM - 1.2, ...heights) - 0.3,
    top: Math.max(highM + 0.6, ...heights) + 0.2,
  };
  const x = scaleLinear([Math.min(0, section[0]?.distance_m ?? 0), now.far], [pad.left, width - pad.right]);
  const y = scaleLinear([now.bottom, now.top], [height - pad.bottom, pad.top]);
  const at = (e: PointerEvent<SVGElement>) => {
    const r = (e.currentTarget.ownerSVGElement ?? (e.currentTarget as SVGSVGElement)).getBoundingClientRect();
    return { distance_m: x.invert(e.clientX - r.left), elevation_m: y.invert(e.clientY - r.top) };
  };
  const drag = (e: PointerEvent<SVGElement>) => {
    if (held !== undefined) onChange(moved(section, held, at(e)));
  };
  const keys = (i: number) => (e: KeyboardEvent) => {
    const step = e.shiftKey ? 10 : 1;
    const p = section[i]!;
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step / 20],
      ArrowDown: [0, -step / 20],
    };
    if (by[e.key]) {
      e.preventDefault();
      const [dx, dy] = by[e.key]!;
      onChange(moved(section, i, { distance_m: p.distance_m + dx, elevation_m: p.elevation_m + dy }));
    }
    if (e.key === 'Delete' || e.key === 'Backspace') {
      e.preventDefault();
      onChange(without(section, i));
    }
  };
  const path = section.map((p) => `${x(p.distance_m).toFixed(1)} ${y(p.elevation_m).toFixed(1)}`).join('L');
  const first = section[0];
  const last = section[section.length - 1];
  return (
    <div className="section-editor">
      <div ref={box} className="section-canvas">
        {width > 0 && (
          <svg
            width={width}
            height={height}
            role="group"
            aria-label={say.theSectionToBeDrawn}
            onPointerMove={drag}
            onPointerUp={() => {
              setHeld(undefined);
              setScale(undefined);
            }}
          >
            <rect
              x={pad.left}
              y={y(levelM)}
              width={width - pad.left - pad.right}
              height={Math.max(height - pad.bottom - y(levelM), 0)}
              fill="var(--water-mid)"
              opacity={0.75}
            />
            {[lowM, highM].map((l, i) => (
              <g key={i} className="ghost">
                <line x1={pad.left} x2={width - pad.right} y1={y(l)} y2={y(l)} />
                <text x={width - pad.right - 4} y={y(l) - 4} textAnchor="end">
                  {say.water(i ? say.high : say.low)}
                </text>
              </g>
            ))}
            {first && last && section.length > 1 && (
              <path
                d={`M${path}L${x(last.distance_m)} ${height - pad.bottom}L${x(first.distance_m)} ${height - pad.bottom}Z`}
                fill="var(--ground)"
                stroke="none"
              />
            )}
            <path
              className="section-line"
              d={section.length > 1 ? `M${path}` : ''}
              onPointerDown={(e) => onChange(between(section, at(e)))}
            />
            <rect
              className="section-free"
              x={pad.left}
              y={0}
              width={width - pad.left - pad.right}
              height={section.length < 2 ? height : 0}
              onPointerDown={(e) => onChange(between(section, at(e)))}
            />
            {section.map((p, i) => (
              <circle
                key={i}
                className={held === i ? 'held' : ''}
                cx={x(p.distance_m)}
                cy={y(p.elevation_m)}
                r={held === i ? 8 : 6}
                tabIndex={0}
                role="slider"
                aria-label={say.pointOut(i + 1, distance(p.distance_m))}
                aria-valuenow={p.elevation_m}
                aria-valuetext={depth(p.elevation_m)}
                onKeyDown={keys(i)}
                onPointerDown={(e) => {
                  e.stopPropagation();
                  // The scale stays still while a point is held.
                  setScale(now);
                  setHeld(i);
                  e.currentTarget.ownerSVGElement?.setPointerCapture(e.pointerId);
                }}
              />
            ))}
            {axis('depth', y.domain()[0]!, y.domain()[1]!, 5).map((v) => (
              <text key={v.si} x={pad.left - 8} y={y(v.si) + 4} textAnchor="end" className="axis">
                {v.text}
              </text>
            ))}
            {axis('distance', x.domain()[0]!, x.domain()[1]!, 6).map((v) => (
              <text key={v.si} x={x(v.si)} y={height - 6} textAnchor="middle" className="axis">
                {v.text}
              </text>
            ))}
          </svg>
        )}
      </div>
      <p className="quiet small">
        {say.outAndAboveChartDatum(
          words[unitOf('distance')]!,
          words[unitOf('depth')]!,
          section.length < 2 && <b>{say.touchTheDrawingWhereThe}</b>,
        )}
      </p>
      <div className="section-acts">
        <ChooseFile
          says={say.readACsv}
          accept=".csv,text/csv,text/plain"
          fault={error}
          onFile={(f) => {
            setError('');
            void f
              .text()
              .then(api.readSection)
              .then((r) => onChange(r.section))
              .catch((e: Error) => setError(`${f.name}: ${e.message}`));
          }}
        />
        <Button onClick={() => onChange([])} disabled={section.length === 0}>
          {say.beginAnew}
        </Button>
        <details>
          <summary>{say.typeIt}</summary>
          <ol className="section-table">
            {section.map((p, i) => (
              <li key={i}>
                <NumberField
                  aria-label={say.howFarOutPointIs(i + 1)}
                  measure="distance"
                  value={p.distance_m}
                  onChange={(v) =>
                    v !== undefined &&
                    onChange(section.map((q, k) => (k === i ? { ...q, distance_m: v } : q)))
                  }
                />
                <NumberField
                  aria-label={say.elevationOfPoint(i + 1)}
                  measure="depth"
                  value={p.elevation_m}
                  onChange={(v) =>
                    v !== undefined &&
                    onChange(section.map((q, k) => (k === i ? { ...q, elevation_m: v } : q)))
                  }
                />
                <Button
                  type="text"
                  aria-label={say.takeAwayPoint(i + 1)}
                  onClick={() => onChange(without(section, i))}
                >
                  ×
                </Button>
              </li>
            ))}
          </ol>
          <Button
            size="small"
            onClick={() =>
              onChange([
                ...section,
                { distance_m: last ? last.distance_m + 10 : 0, elevation_m: last?.elevation_m ?? 1 },
              ])
            }
          >
            {say.oneMorePoint}
          </Button>
        </details>
      </div>
    </div>
  );
}
