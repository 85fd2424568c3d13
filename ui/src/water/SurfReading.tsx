import { Fault } from '../frame/Fault';
import { NumberField } from '../format/NumberField';
import { axis, depth, unitOf } from '../format/spoken';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { scaleLinear } from 'd3-scale';
import { useRef, useState, type PointerEvent } from 'react';
import { api, type SectionPoint, type Surf, type Words } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { clock } from '../format/time';
import { useMoment, usePlace } from '../moment/moment';
import { useWidth } from '../ribbon/useWidth';
import { water as say } from '../words/water';

interface Seen {
  key: number;
  distance: number;
  height: number;
}

const reachKey = 'greypebble.cast';

/** A tool for the beach: what the white water tells of the bottom, beside what the section expects. */
export function SurfReading() {
  const here = usePlace();
  const [open, setOpen] = useState(false);
  const words = useQuery({ queryKey: keys.words, queryFn: api.words, staleTime: Infinity });
  return (
    <section className="panel surf">
      <h2>{say.readTheSurf}</h2>
      {!open && (
        <>
          <p className="quiet small">{words.data?.surf.how}</p>
          <Button onClick={() => setOpen(true)}>{say.markTheWhiteWater}</Button>
        </>
      )}
      {open && words.data && (
        <Reading key={here.spot.id} help={words.data.surf} onClose={() => setOpen(false)} />
      )}
    </section>
  );
}

function Reading({ help, onClose }: { help: Words['surf']; onClose: () => void }) {
  const here = usePlace();
  const moment = useMoment();
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [seen, setSeen] = useState<Seen[]>([]);
  const [next, setNext] = useState(1);
  const [reach, setReach] = useState(() => Number(localStorage.getItem(reachKey)) || help.cast_m);
  const spot = useQuery({ queryKey: ['spot', here.spot.id], queryFn: () => api.spot(here.spot.id) });
  const level = moment.frame?.level_m ?? 0;
  const section = spot.data?.section ?? [];
  const hasSection = section.length > 1;
  const breaks = [...seen]
    .sort((a, b) => a.distance - b.distance)
    .map((s) => ({ distance_m: s.distance, height_m: s.height }));
  const read = useQuery({
    queryKey: ['surf', here.spot.id, level, reach, breaks, hasSection],
    queryFn: ({ signal }) =>
      api.readSurf(
        {
          level_m: level,
          breaks,
          reach_m: reach,
          ...(hasSection ? { spot_id: here.spot.id } : {}),
        },
        signal,
      ),
    enabled: breaks.length > 0,
    retry: false,
    placeholderData: (p) => p,
  });
  const keep = useMutation({
    mutationFn: async () => {
      const s = spot.data!;
      await api.putSpot(s.id, { ...s.written, section: read.data!.section, revision: s.revision });
    },
    onSuccess: () => {
      void message.success(say.theSectionIsWhatThe);
      void invalidate('spots');
      onClose();
    },
  });
  const add = (distance: number) => {
    setSeen((l) => [
      ...l,
      { key: next, distance: Math.round(distance), height: l.at(-1)?.height ?? help.breaker_m },
    ]);
    setNext(next + 1);
  };
  const change = (key: number, part: Partial<Seen>) =>
    setSeen((l) => l.map((s) => (s.key === key ? { ...s, ...part } : s)));
  const result = breaks.length > 0 ? read.data : undefined;
  return (
    <div className="surf-reading">
      <p className="small">
        {say.atWaterTouchTheWater(
          moment.frame && clock(moment.frame.time, here.spot.time_zone),
          depth(level),
        )}
      </p>
      <Strip
        section={section}
        level={level}
        white={moment.frame?.white ?? []}
        seen={seen}
        better={result?.section}
        onAdd={add}
      />
      {seen.length === 0 && (
        <Button size="small" onClick={() => add(40)}>
          {say.addALineOfBreakers}
        </Button>
      )}
      <ul className="surf-seen">
        {seen.map((s, i) => (
          <li key={s.key}>
            <label>
              {say.breakersOut(i + 1)}{' '}
              <NumberField
                measure="distance"
                min={1}
                max={1000}
                value={s.distance}
                onChange={(v) => v !== undefined && change(s.key, { distance: v })}
              />
            </label>
            <label>
              {say.high}{' '}
              <NumberField
                measure="height"
                min={0.1}
                max={6}
                value={s.height}
                onChange={(v) => v !== undefined && change(s.key, { height: v })}
              />
            </label>
            <Button
              size="small"
              type="text"
              aria-label={say.takeAwayBreakers(i + 1)}
              onClick={() => setSeen((l) => l.filter((k) => k.key !== s.key))}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      {seen.length > 0 && (
        <label className="small">
          {say.myCastReaches}{' '}
          <NumberField
            measure="distance"
            min={10}
            max={250}
            value={reach}
            onChange={(v) => {
              if (v === undefined) return;
              localStorage.setItem(reachKey, String(v));
              setReach(v);
            }}
          />
        </label>
      )}
      <Fault of={[read]} />
      {result && <Told surf={result} cuts={help.cuts} />}
      <Fault of={[keep]} />
      <div className="surf-acts">
        {result?.section && (
          <Button type="primary" loading={keep.isPending} onClick={() => keep.mutate()}>
            {say.keepThisSection}
          </Button>
        )}
        <Button onClick={onClose}>{say.leaveIt}</Button>
      </div>
    </div>
  );
}

/** What the breakers tell, in words. */
function Told({ surf, cuts }: { surf: Surf; cuts: string }) {
  return (
    <>
      <ul className="surf-told">
        {surf.bars.map((b) => (
          <li key={b.distance_m}>
            <b>{b.name}</b>, {b.says}
          </li>
        ))}
        {surf.troughs.map((t) => (
          <li key={t.from_m}>
            <b>{t.name}</b>, {t.says}
          </li>
        ))}
      </ul>
      <p className="small quiet">{cuts}</p>
      {surf.cautions.map((c) => (
        <p key={c} className="caution small">
          {c}
        </p>
      ))}
    </>
  );
}

/** The beach from the side: where white water is expected, and where it was seen. */
function Strip(props: {
  section: SectionPoint[];
  level: number;
  white: { from_m: number; to_m: number }[];
  seen: Seen[];
  better?: SectionPoint[] | null;
  onAdd: (distance: number) => void;
}) {
  const { section, level, white, seen, better, onAdd } = props;
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const height = 150;
  const far = Math.max(section.at(-1)?.distance_m ?? 160, ...seen.map((s) => s.distance + 15));
  const lows = [...section, ...(better ?? [])].map((p) => p.elevation_m);
  const x = scaleLinear([section[0]?.distance_m ?? 0, far], [6, width - 6]);
  const y = scaleLinear([Math.min(level - 2.6, ...lows), level + 0.9], [height - 18, 18]);
  const path = (list: SectionPoint[]) =>
    'M' + list.map((p) => `${x(p.distance_m).toFixed(1)} ${y(p.elevation_m).toFixed(1)}`).join('L');
  const touch = (e: PointerEvent<SVGSVGElement>) =>
    onAdd(Math.max(1, x.invert(e.clientX - e.currentTarget.getBoundingClientRect().left)));
  return (
    <div className="surf-strip" ref={box}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          onClick={(e) => touch(e as unknown as PointerEvent<SVGSVGElement>)}
          role="img"
          aria-label={say.theBeachFromTheSide}
        >
          <rect x={0} y={y(level)} width={width} height={height - y(level)} fill="var(--water-mid)" />
          {section.length > 1 && (
            <path
              d={`${path(section)}L${x(far)} ${y(section.at(-1)!.elevation_m)}L${x(far)} ${height}L${x(section[0]!.distance_m)} ${height}Z`}
              fill="var(--ground)"
            />
          )}
          {better && <path d={path(better)} className="better" />}
          <line x1={0} x2={width} y1={y(level)} y2={y(level)} className="surface" />
          {white.map((w) => (
            <line
              key={w.from_m}
              x1={x(w.from_m)}
              x2={Math.max(x(w.to_m), x(w.from_m) + 4)}
              y1={y(level) - 7}
              y2={y(level) - 7}
              className="expected"
            />
          ))}
          {seen.map((s) => (
            <g key={s.key} transform={`translate(${x(s.distance)} ${y(level)})`} className="breaker">
              <path
                d={`M-9 0q2 ${-14 * Math.min(s.height, 2) - 4} 13 ${-14 * Math.min(s.height, 2) - 2}q-4 3 -1 8q3 4 8 8z`}
              />
            </g>
          ))}
          {axis('distance', x.domain()[0]!, x.domain()[1]!, 4).map((d) => (
            <text key={d.si} x={Math.max(x(d.si), 16)} y={height - 5} textAnchor="middle">
              {d.text} {unitOf('distance')}
            </text>
          ))}
        </svg>
      )}
      {white.length > 0 && <p className="small quiet">{say.dashesWhereTheStoredSection}</p>}
    </div>
  );
}
