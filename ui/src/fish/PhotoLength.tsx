import { useEffect, useRef, useState } from 'react';
import { ask } from '../core/core';
import { NumberField } from '../format/NumberField';
import { show } from '../format/spoken';
import { fish as say } from '../words/fish';

interface Point {
  x: number;
  y: number;
}
interface Measured {
  length_m: number;
  low_m: number;
  high_m: number;
}

/** How far a thumb misses what it points at, on the screen, px. */
const miss = 5;
/** So much nearer the photo is drawn for the touch that counts. */
const closer = 5;
/** In the order they are touched. */
const ends = [say.photo.cardStart, say.photo.cardEnd, say.photo.nose, say.photo.tail];

/** A fish measured on a photo by a card that lies beside it; the photo stays on the device. */
export function PhotoLength({ onLength }: { onLength: (m: number, says: string, errorM: number) => void }) {
  const file = useRef<HTMLInputElement>(null);
  const [url, setUrl] = useState('');
  const [size, setSize] = useState({ w: 1, h: 1 });
  /** Where it is drawn near, for the touch that counts. */
  const [near, setNear] = useState<Point>();
  const [points, setPoints] = useState<Point[]>([]);
  const [known, setKnown] = useState<number>();
  const [got, setGot] = useState<Measured>();
  const [fault, setFault] = useState('');
  useEffect(() => () => URL.revokeObjectURL(url), [url]);

  const measure = async (all: Point[], knownM: number | undefined, px: number) => {
    setGot(undefined);
    setFault('');
    if (all.length < ends.length) return;
    try {
      setGot(
        await ask<Measured>('length', {
          known: { a: all[0], b: all[1] },
          fish: { a: all[2], b: all[3] },
          known_m: knownM ?? 0,
          touch_px: px,
        }),
      );
    } catch (e) {
      setFault((e instanceof Error ? e.message : String(e)).replace(/^wasm: length: photo: /, ''));
    }
  };
  const scale = useRef(1);
  // Drawn near, a thumb misses by less.
  const view = near
    ? {
        x: near.x - size.w / closer / 2,
        y: near.y - size.h / closer / 2,
        w: size.w / closer,
        h: size.h / closer,
      }
    : { x: 0, y: 0, ...size };
  return (
    <div className="fish-photo">
      <input
        ref={file}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        hidden
        aria-label={say.photo.choose}
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          if (!chosen) return;
          setPoints([]);
          setNear(undefined);
          setGot(undefined);
          setUrl(URL.createObjectURL(chosen));
        }}
      />
      <button className="plain" onClick={() => file.current?.click()}>
        {say.photo.choose}
      </button>
      {url && (
        <>
          <p role="status">
            {near
              ? say.photo.exactly
              : points.length < ends.length
                ? say.photo.touch(ends[points.length]!)
                : say.photo.again}
          </p>
          <svg
            className="fish-plan photo"
            viewBox={`${view.x} ${view.y} ${view.w} ${view.h}`}
            role="img"
            aria-label={say.photo.shown}
            onClick={(e) => {
              const m = e.currentTarget.getScreenCTM()!.inverse();
              const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m);
              if (!near) return setNear({ x: p.x, y: p.y });
              setNear(undefined);
              scale.current = m.a;
              const point = { x: p.x, y: p.y };
              const all = points.length < ends.length ? [...points, point] : [point];
              setPoints(all);
              void measure(all, known, miss * m.a);
            }}
          >
            <Photo url={url} onSize={setSize} size={size} />
            {points.map((p, i) => (
              <circle
                key={i}
                cx={p.x}
                cy={p.y}
                r={view.w / 70}
                className={i < 2 ? 'was' : 'land'}
                style={{ strokeWidth: view.w / 180 }}
              />
            ))}
            {[0, 2].map(
              (i) =>
                points[i + 1] && (
                  <line
                    key={i}
                    x1={points[i]!.x}
                    y1={points[i]!.y}
                    x2={points[i + 1]!.x}
                    y2={points[i + 1]!.y}
                    className={i < 2 ? 'goes' : 'thrown'}
                    style={{ strokeWidth: view.w / 180, strokeDasharray: 'none' }}
                  />
                ),
            )}
          </svg>
          <label>
            {say.photo.known}
            <NumberField
              measure="tackle"
              min={0.02}
              max={2}
              value={known}
              onChange={(m) => {
                setKnown(m);
                void measure(points, m, miss * scale.current);
              }}
            />
          </label>
          {got && (
            <p>
              {say.photo.got(
                show('fish_length', got.length_m, 0),
                show('fish_length', got.low_m, 0),
                show('fish_length', got.high_m, 0),
              )}{' '}
              <button
                className="plain"
                onClick={() =>
                  onLength(
                    Math.round(got.length_m * 1000) / 1000,
                    say.photo.noted(show('fish_length', got.low_m, 0), show('fish_length', got.high_m, 0)),
                    (got.high_m - got.low_m) / 2,
                  )
                }
              >
                {say.photo.take}
              </button>
            </p>
          )}
          {fault && <p role="alert">{fault}</p>}
        </>
      )}
    </div>
  );
}

/** The photo in its own pixels. */
function Photo(props: {
  url: string;
  size: { w: number; h: number };
  onSize: (s: { w: number; h: number }) => void;
}) {
  const { url, size, onSize } = props;
  useEffect(() => {
    const img = new Image();
    img.onload = () => onSize({ w: img.naturalWidth, h: img.naturalHeight });
    img.src = url;
  }, [url, onSize]);
  return <image href={url} width={size.w} height={size.h} />;
}
