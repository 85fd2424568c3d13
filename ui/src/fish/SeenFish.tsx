import { useState } from 'react';
import { ask } from '../core/core';
import { distance, fixed, show } from '../format/spoken';
import { fish as say } from '../words/fish';

interface Aim {
  speed_ms: number;
  bearing_deg: number;
  land_x_m: number;
  land_y_m: number;
  wait_s: number;
  pass_m: number;
  possible: boolean;
  still: boolean;
  why: string;
}
interface Sighting {
  x_m: number;
  y_m: number;
  at: number;
}

/** From above, metres: one stands at the foot, and looks up. */
const half = 25;
const deep = 40;
const rings = [10, 20, 30, 40];

/** A fish that is seen: touched twice, three or four seconds apart; its course, and where to land the lure. */
export function SeenFish({ target }: { target: string }) {
  const [first, setFirst] = useState<Sighting>();
  const [second, setSecond] = useState<Sighting>();
  const [aim, setAim] = useState<Aim>();
  const [fault, setFault] = useState('');

  const touch = (s: Sighting) => {
    if (!first || second) {
      setFirst(s);
      setSecond(undefined);
      setAim(undefined);
      setFault('');
      return;
    }
    setSecond(s);
    ask<Aim>('seen', { first, second: s, seconds: (s.at - first.at) / 1000, target }).then(setAim, () =>
      setFault(say.watchItLonger),
    );
  };
  const end = aim && second && along(second, aim, 12);
  return (
    <>
      <h3>{say.aFishSeen}</h3>
      <p className="quiet small">{say.touchItTwice}</p>
      {/* Where it is can only be shown; whoever cannot see it has nothing to cast at. */}
      <svg
        className="fish-plan seen"
        viewBox={`${-half} ${-deep} ${2 * half} ${deep + 3}`}
        role="img"
        aria-label={say.planOfTheWater}
        onClick={(e) => {
          const at = e.currentTarget.createSVGPoint();
          at.x = e.clientX;
          at.y = e.clientY;
          const p = at.matrixTransform(e.currentTarget.getScreenCTM()!.inverse());
          touch({ x_m: p.x, y_m: -p.y, at: e.timeStamp });
        }}
      >
        {rings.map((r) => (
          <g key={r}>
            <path d={`M ${-r} 0 A ${r} ${r} 0 0 1 ${r} 0`} className="ring" />
            <text x={0} y={-r + 2} className="far">
              {distance(r)}
            </text>
          </g>
        ))}
        <circle r={0.9} className="stand" />
        {first && <circle cx={first.x_m} cy={-first.y_m} r={0.9} className="was" />}
        {second && <circle cx={second.x_m} cy={-second.y_m} r={1.1} className="is" />}
        {second && end && <line x1={second.x_m} y1={-second.y_m} x2={end.x} y2={-end.y} className="goes" />}
        {aim?.possible && (
          <>
            <line x1={0} y1={0} x2={aim.land_x_m} y2={-aim.land_y_m} className="thrown" />
            <circle cx={aim.land_x_m} cy={-aim.land_y_m} r={1.3} className="land" />
          </>
        )}
      </svg>
      <p role="status">
        {fault}
        {aim &&
          (aim.possible
            ? say.castSo(
                fixed(aim.wait_s, 0),
                distance(Math.hypot(aim.land_x_m, aim.land_y_m)),
                hourOf(aim),
                show('tackle', aim.pass_m),
              )
            : aim.why)}
        {aim?.still && <> {say.itLiesStill}</>}
      </p>
    </>
  );
}

function along(from: Sighting, a: Aim, seconds: number) {
  const b = (a.bearing_deg * Math.PI) / 180;
  const far = a.speed_ms * seconds;
  return { x: from.x_m + far * Math.sin(b), y: from.y_m + far * Math.cos(b) };
}

/** By the clock, twelve straight ahead. */
const hourOf = (a: Aim) =>
  ((Math.round(((Math.atan2(a.land_x_m, a.land_y_m) * 180) / Math.PI + 360) / 30) + 11) % 12) + 1;
