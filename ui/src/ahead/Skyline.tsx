import { memo, useEffect, useRef } from 'react';
import { colour } from '../theme/colour';
import { place } from '../tie/Whisker';
import type { Row } from './fortnight';

/** Height of a row, px. */
export const rowHeight = 36;

/**
 * A spot's fortnight: the higher the ground of an hour, the more it is worth, on the scale from an eighth to eight
 * times, the line being an ordinary spell. Dark hours are shaded; shut ones are hatched, those not to go in barred.
 */
export const Skyline = memo(function Skyline(props: {
  row: Row;
  worth: Int16Array;
  width: number;
  /** The hour shown, or −1. */
  at: number;
  ink: Ink;
  /** Edge from which it is worth going. */
  least: number;
  label: string;
  onHour: (hour: number) => void;
}) {
  const { row, worth, width, at, ink, least, label, onHour } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (canvas.current && width > 0) draw(canvas.current, row, worth, width, ink, least);
  }, [row, worth, width, ink, least]);
  const hours = row.state.length;
  return (
    <div className="skyline" style={{ width, height: rowHeight }}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={label}
        style={{ width, height: rowHeight }}
        onClick={(e) =>
          onHour(hourAt(e.clientX - e.currentTarget.getBoundingClientRect().left, width, hours))
        }
      />
      {at >= 0 && (
        <i className="skyline-now" style={{ left: ((at + 0.5) * width) / hours }} aria-hidden="true" />
      )}
    </div>
  );
});

export const hourAt = (x: number, width: number, hours: number) =>
  Math.min(hours - 1, Math.max(0, Math.floor((x / width) * hours)));

/** What a row is drawn with in a light. */
export type Ink = Record<'night' | 'line' | 'accent' | 'soft' | 'danger' | 'dotted', string>;

export const inked = (): Ink => ({
  night: colour('--night'),
  line: colour('--line'),
  accent: colour('--accent'),
  soft: colour('--accent-soft'),
  danger: colour('--danger'),
  dotted: colour('--ink-2'),
});

function draw(
  canvas: HTMLCanvasElement,
  row: Row,
  worth: Int16Array,
  width: number,
  ink: Ink,
  least: number,
) {
  const scale = window.devicePixelRatio || 1;
  const wide = Math.round(width * scale);
  // Another size empties it and takes new room.
  if (canvas.width !== wide) {
    canvas.width = wide;
    canvas.height = Math.round(rowHeight * scale);
  }
  const g = canvas.getContext('2d');
  if (!g) return;
  g.setTransform(scale, 0, 0, scale, 0, 0);
  g.clearRect(0, 0, width, rowHeight);
  const hours = row.state.length;
  const x = (h: number) => (h * width) / hours;
  const foot = rowHeight - 2;
  const high = (edge: number) => foot - place(edge) * (foot - 3);

  g.fillStyle = ink.night;
  runs(row.dark, '1', (a, b) => g.fillRect(x(a), 0, x(b) - x(a), rowHeight));

  for (let h = 0; h < hours; h++) {
    const w = worth[h]!;
    if (w === 0) continue;
    const y = high(w / 100);
    g.fillStyle = row.state[h] === 'd' || w < least * 100 ? ink.line : w >= 200 ? ink.accent : ink.soft;
    // What nobody has told the weather of is drawn faint: it is what is usual there.
    g.globalAlpha = row.told[h] === '1' ? 1 : 0.5;
    g.fillRect(x(h), y, x(h + 1) - x(h) + (row.told[h] === '1' ? 0.3 : 0), foot - y);
  }
  g.globalAlpha = 1;

  // Shut by the tide or for want of water: hatched one way; by a rule: both ways; not to go: barred.
  const hatch = (letters: string, step: number, slopes: number[], stroke: string) => {
    g.strokeStyle = stroke;
    g.lineWidth = 1;
    for (const letter of letters)
      runs(row.state, letter, (a, b) => {
        g.save();
        g.beginPath();
        g.rect(x(a), 4, x(b) - x(a), foot - 4);
        g.clip();
        g.beginPath();
        for (const s of slopes)
          for (let p = x(a) - rowHeight; p < x(b) + rowHeight; p += step) {
            g.moveTo(p, foot);
            g.lineTo(p + s * rowHeight, foot - rowHeight);
          }
        g.stroke();
        g.restore();
      });
  };
  hatch('st', 6, [1], ink.line);
  hatch('c', 6, [1, -1], ink.line);
  hatch('d', 3, [0], ink.danger);

  g.strokeStyle = ink.dotted;
  g.setLineDash([1, 3]);
  g.beginPath();
  g.moveTo(0, high(1));
  g.lineTo(width, high(1));
  g.stroke();
  g.setLineDash([]);
  g.strokeStyle = ink.line;
  g.beginPath();
  g.moveTo(0, foot + 0.5);
  g.lineTo(width, foot + 0.5);
  g.stroke();
}

/** Stretches of one letter: from and to. */
export function runs(text: string, letter: string, each: (from: number, to: number) => void) {
  for (let h = 0; h < text.length; h++) {
    if (text[h] !== letter) continue;
    let end = h + 1;
    while (end < text.length && text[end] === letter) end++;
    each(h, end);
    h = end;
  }
}
