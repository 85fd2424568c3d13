import type { Drawing } from '../api/client';
import './sketch.css';

/** A drawing of the core: strokes by what they are, words where they stand. */
export function Sketch(props: { drawing: Drawing; label: string; className?: string }) {
  const { drawing, label, className } = props;
  return (
    <svg
      className={className ? `sketch ${className}` : 'sketch'}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      role="img"
      aria-label={label}
      style={{ maxWidth: drawing.width }}
    >
      {drawing.strokes.map((s, i) => (
        <path key={i} d={s.path} className={`ink-${s.ink}${s.filled ? ' filled' : ''}`} />
      ))}
      {drawing.labels.map((l, i) => (
        <text key={i} x={l.x} y={l.y} textAnchor={l.anchor} className={l.small ? 'small-word' : 'word'}>
          {l.text}
        </text>
      ))}
    </svg>
  );
}
