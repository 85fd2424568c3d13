import type { FeatureLike } from 'ol/Feature';
import { Circle, Fill, RegularShape, Stroke, Style, Text } from 'ol/style';
import { colour } from '../theme/colour';

/** What a feature of the map is. */
export type Kind =
  'outline' | 'zone' | 'line' | 'shape' | 'spot' | 'mark' | 'find' | 'sketch' | 'start' | 'fished';

const fill = (name: string) => new Fill({ color: colour(name) });
const stroke = (name: string, width: number, lineDash?: number[]) =>
  new Stroke({ color: colour(name), width, lineDash, lineCap: 'round', lineJoin: 'round' });

function label(text: string, bold: boolean, size: number, dy: number, name = '--ink') {
  return new Text({
    text,
    font: `${bold ? 650 : 500} ${size}px 'Atkinson Hyperlegible Next Variable', sans-serif`,
    fill: fill(name),
    stroke: new Stroke({ color: colour('--panel'), width: 3.5 }),
    offsetY: dy,
    overflow: true,
    padding: [3, 4, 2, 4],
  });
}

/** A quiet hatch, so that a zone is seen over any depth. */
function hatch(): CanvasPattern {
  const c = document.createElement('canvas');
  c.width = c.height = 10;
  const g = c.getContext('2d')!;
  g.strokeStyle = colour('--ink');
  g.globalAlpha = 0.42;
  g.lineWidth = 1;
  g.beginPath();
  g.moveTo(-2, 12);
  g.lineTo(12, -2);
  g.moveTo(-2, 2);
  g.lineTo(2, -2);
  g.moveTo(8, 12);
  g.lineTo(12, 8);
  g.stroke();
  return g.createPattern(c, 'repeat')!;
}

/** Metres a pixel below which the small things are named. */
const near = 4;

/** The look of everything that lies over the ground, in the chosen light. */
export function styles(size: number) {
  const zone = new Style({
    stroke: stroke('--ink', 1.6, [7, 5]),
    fill: new Fill({ color: hatch() }),
    zIndex: 1,
  });
  const line = [
    new Style({ stroke: stroke('--panel', 5), zIndex: 3 }),
    new Style({ stroke: stroke('--accent', 2.6), zIndex: 3 }),
  ];
  const otherLine = new Style({ stroke: stroke('--ink', 1.2, [2, 5]), zIndex: 2 });
  const shape = new Style({ stroke: stroke('--accent', 2, [8, 5]), zIndex: 2 });
  const sketch = [
    new Style({ stroke: stroke('--panel', 5), fill: new Fill({ color: 'rgba(138,85,9,0.15)' }), zIndex: 8 }),
    new Style({
      stroke: stroke('--accent', 2.4, [6, 5]),
      image: new Circle({
        declutterMode: 'none',
        radius: 5,
        fill: fill('--accent'),
        stroke: stroke('--panel', 2),
      }),
      zIndex: 8,
    }),
  ];
  const land = new Style({ fill: fill('--land'), stroke: stroke('--ground-line', 1.2) });
  const pebble = (open: boolean, chosen: boolean) =>
    new Circle({
      declutterMode: 'obstacle',
      radius: chosen ? 8 : 6,
      scale: [1.22, 0.92],
      fill: fill(chosen ? '--accent' : open ? '--ink' : '--panel'),
      stroke: stroke(chosen || open ? '--panel' : '--ink', chosen ? 2.4 : open ? 1.6 : 2),
    });
  const mark = new Circle({
    declutterMode: 'none',
    radius: 3.4,
    fill: fill('--ink'),
    stroke: stroke('--panel', 1.4),
  });
  const snag = new RegularShape({
    declutterMode: 'none',
    points: 4,
    radius: 6,
    radius2: 0,
    angle: Math.PI / 4,
    stroke: stroke('--ink', 2),
  });
  const find = (chosen: boolean) =>
    new RegularShape({
      declutterMode: 'none',
      points: 4,
      radius: chosen ? 10 : 7,
      fill: fill('--panel'),
      stroke: stroke(chosen ? '--accent' : '--ink', chosen ? 3 : 1.8),
    });
  const start = new RegularShape({
    declutterMode: 'none',
    points: 3,
    radius: 9,
    fill: fill('--panel'),
    stroke: stroke('--ink', 2.2),
  });

  /** A stone as in the log: hollow without a fish, filled with how many; the longer it was fished, the larger. */
  const fished = (fish: number, hours: number, apart: boolean) => {
    const radius = Math.min(26, 7 + 2.2 * Math.sqrt(hours));
    // Under its spot, which stays to be seen.
    const dy = apart ? 0 : -(radius + 11);
    return new Style({
      image: new Circle({
        declutterMode: 'none',
        radius,
        scale: [1.22, 0.92],
        displacement: [0, dy],
        fill: fish > 0 ? fill('--rail') : undefined!,
        stroke: stroke(fish > 0 ? '--panel' : '--ink', 2),
      }),
      text: new Text({
        text: fish > 0 ? String(fish) : '',
        font: `650 ${size - 1}px 'Atkinson Hyperlegible Next Variable', sans-serif`,
        fill: fill('--rail-ink'),
        offsetY: -dy,
        overflow: true,
        declutterMode: 'none',
      }),
      zIndex: 8,
    });
  };

  return (f: FeatureLike, resolution: number): Style | Style[] | undefined => {
    const kind = f.get('kind') as Kind;
    const name = f.get('name') as string;
    switch (kind) {
      case 'outline':
        return land;
      case 'zone':
        zone.setText(resolution < 14 ? label(name, false, size - 2, 0) : undefined!);
        return zone;
      case 'line':
        return f.get('chosen') ? line : resolution < near * 2 ? otherLine : undefined;
      case 'shape':
        return shape;
      case 'spot': {
        const chosen = f.get('chosen') as boolean;
        if (!f.get('shown') && !chosen)
          return new Style({
            image: new Circle({ radius: 3, fill: fill('--ink-2'), declutterMode: 'none' }),
            zIndex: 4,
          });
        return new Style({
          image: pebble(f.get('open') as boolean, chosen),
          text: label(name, chosen, chosen ? size : size - 1, -17),
          zIndex: chosen ? 7 : 5,
        });
      }
      case 'mark':
        if (resolution > near * 2.5) return undefined;
        return new Style({
          image: f.get('snag') ? snag : mark,
          text: resolution < near && f.get('chosen') ? label(name, false, size - 2, 14) : undefined,
          zIndex: 4,
        });
      case 'find':
        return new Style({ image: find(f.get('chosen') as boolean), zIndex: f.get('chosen') ? 7 : 6 });
      case 'fished':
        return f.get('near') === resolution < near
          ? fished(f.get('fish') as number, f.get('rodHours') as number, !f.get('spot'))
          : undefined;
      case 'start':
        return new Style({ image: start, text: label('from here', false, size - 2, 17), zIndex: 6 });
      case 'sketch':
        return sketch;
    }
  };
}
