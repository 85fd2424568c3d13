import { times } from '../format/measure';
import './whisker.css';
import { tie as say } from '../words/tie';

/** Powers of two on each side of an ordinary spell that the scale shows. */
const reach = 3;

const ticks = [
  { at: 1 / 8, says: '×⅛' },
  { at: 1 / 4, says: '¼' },
  { at: 1, says: say.ordinary },
  { at: 4, says: '4' },
  { at: 8, says: '×8' },
];

/** Where an edge lies between an eighth and eight times, on a logarithmic scale: 0…1. */
export const place = (edge: number) => Math.min(Math.max((Math.log2(edge) + reach) / (2 * reach), 0), 1);

/**
 * An edge on the one fixed scale from an eighth to eight times, with its 80 % interval; ×1 is an ordinary spell for
 * that fish. An end with an arrow runs on beyond the scale.
 */
export function Whisker(props: {
  edge: number;
  low: number;
  high: number;
  chosen?: boolean;
  width?: number;
  plain?: boolean;
}) {
  const { edge, low, high, chosen, plain } = props;
  const w = props.width ?? 300;
  const m = 14;
  const x = (e: number) => m + place(e) * (w - 2 * m);
  return (
    <svg
      className={chosen ? 'whisker chosen' : 'whisker'}
      width={w}
      height={plain ? 20 : 36}
      viewBox={`0 0 ${w} ${plain ? 20 : 36}`}
      role="img"
      aria-label={say.edge80BetweenAnd1(times(edge), times(low), times(high))}
    >
      <line className="scale" x1={m} x2={w - m} y1={10} y2={10} />
      {ticks.map((t) => (
        <g key={t.at}>
          <line
            className={t.at === 1 ? 'ordinary' : 'scale'}
            x1={x(t.at)}
            x2={x(t.at)}
            y1={t.at === 1 ? 1 : 6}
            y2={t.at === 1 ? 19 : 14}
          />
          {!plain && (
            <text x={x(t.at)} y={32} textAnchor="middle">
              {t.says}
            </text>
          )}
        </g>
      ))}
      <line className="interval" x1={x(low)} x2={x(high)} y1={10} y2={10} />
      {high > 8 && <path className="beyond" d={`M${w - m - 1} 4l8 6l-8 6z`} />}
      {low < 1 / 8 && <path className="beyond" d={`M${m + 1} 4l-8 6l8 6z`} />}
      <ellipse className="stone" cx={x(edge)} cy={10} rx={8} ry={6.2} />
    </svg>
  );
}
