import { useState } from 'react';
import { NumberField } from '../format/NumberField';
import { bearing } from '../format/measure';
import { distance, fixed, show } from '../format/spoken';
import type { Doing, Said, Told } from './touch';
import { fish as say } from '../words/fish';

export const trolled = 'troll';

/** Trolling: line out and depth; where a lure was hooked is kept, and the pass over it planned again. */
export function Troll({ told, doing, tell }: { told: Told; doing: Doing; tell: (said: Said) => void }) {
  const [line, setLine] = useState(doing.distance_m);
  const [deep, setDeep] = useState(doing.depth_m);
  const going = doing.style === trolled;
  const { distance_m: _, depth_m: __, style: ___, ...bare } = doing;
  const { pass } = told;
  return (
    <>
      <div className="form">
        <label>
          {say.lineOut}
          <NumberField measure="distance" min={0} max={200} value={line} onChange={setLine} />
        </label>
        <label>
          {say.lureRunsAt}
          <NumberField measure="depth" min={0} max={100} value={deep} onChange={setDeep} />
        </label>
        <div className="fish-row">
          <button
            className="act"
            onClick={() =>
              tell({
                kind: 'fish',
                doing: {
                  ...bare,
                  style: trolled,
                  ...(line ? { distance_m: line } : {}),
                  ...(deep ? { depth_m: deep } : {}),
                },
              })
            }
          >
            {going ? say.trollSo : say.iAmTrolling}
          </button>
          {going && (
            <button className="act" onClick={() => tell({ kind: 'fish', doing: bare })}>
              {say.noLongerTrolling}
            </button>
          )}
        </div>
      </div>
      {going && !pass && <p className="quiet small">{say.hookUpIsKept}</p>}
      {pass && <Pass pass={pass} />}
    </>
  );
}

/** The pass over where a lure was hooked: to the start, then along the course of before. */
export function Pass({ pass: p }: { pass: NonNullable<Told['pass']> }) {
  const at = (deg: number, m: number) => {
    const a = (deg * Math.PI) / 180;
    return { x: m * Math.sin(a), y: -m * Math.cos(a) };
  };
  const start = at(p.bearing_deg, p.to_start_m);
  const hook = at(p.hook_deg, p.hook_m);
  const end = { x: hook.x + at(p.course_deg, p.line_m).x, y: hook.y + at(p.course_deg, p.line_m).y };
  const xs = [0, start.x, hook.x, end.x];
  const ys = [0, start.y, hook.y, end.y];
  const size = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), 40) * 1.3;
  const left = (Math.max(...xs) + Math.min(...xs) - size) / 2;
  const top = (Math.max(...ys) + Math.min(...ys) - size) / 2;
  return (
    <>
      <p role="status">
        {say.passAgain(
          distance(p.to_start_m),
          bearing(p.bearing_deg),
          `${String(Math.round(p.course_deg)).padStart(3, '0')}°`,
          show('wind', p.speed_ms),
          fixed(p.lure_over_s, 0),
          p.depth_m > 0 ? show('depth', p.depth_m) : '',
        )}
      </p>
      <svg
        className="fish-plan pass"
        viewBox={`${left} ${top} ${size} ${size}`}
        role="img"
        aria-label={say.planOfThePass}
      >
        <line
          x1={0}
          y1={0}
          x2={start.x}
          y2={start.y}
          className="goes"
          style={{ strokeWidth: size / 160, strokeDasharray: `${size / 40} ${size / 60}` }}
        />
        <line
          x1={start.x}
          y1={start.y}
          x2={end.x}
          y2={end.y}
          className="thrown"
          style={{ strokeWidth: size / 120 }}
        />
        <circle cx={hook.x} cy={hook.y} r={size / 40} className="land" style={{ strokeWidth: size / 120 }} />
        <circle r={size / 60} className="stand" />
        <text x={size / 40} y={size / 40} fontSize={size / 22}>
          {say.boat}
        </text>
        <text x={hook.x + size / 30} y={hook.y} fontSize={size / 22}>
          {say.hookedHere}
        </text>
      </svg>
    </>
  );
}
