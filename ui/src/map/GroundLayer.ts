import type { FrameState } from 'ol/Map';
import Layer from 'ol/layer/Layer';
import type { Cells } from './cells';
import { paint, type Lookup } from './paint';
import { screen, type Screen } from './screen';

/** Radius of the sphere the map's projection is made on, metres. */
const radius = 6378137;
const degrees = 180 / Math.PI;
/** More pixels than this are not drawn: on a phone they could not be told apart. */
const finest = 2;

/** The ground with the water in it, painted pixel by pixel from the grid. */
export class GroundLayer extends Layer {
  private canvas = document.createElement('canvas');
  private cells?: Cells;
  private look?: Lookup;
  private level = 0;
  private highest = Infinity;
  private seen?: Screen;
  private view = '';
  private image?: ImageData;

  constructor() {
    super({});
    this.canvas.className = 'map-ground';
  }

  show(cells: Cells | undefined, look: Lookup) {
    if (cells !== this.cells) this.view = '';
    this.cells = cells;
    this.look = look;
    this.changed();
  }

  /** Metres above chart datum: of the water, and of what is land. */
  flood(level: number, highest: number) {
    if (level * 100 === this.level && highest * 100 === this.highest) return;
    this.level = level * 100;
    this.highest = highest * 100;
    this.changed();
  }

  override render(frame: FrameState | null): HTMLElement {
    if (!frame || !this.cells || !this.look) {
      this.canvas.width = 1;
      return this.canvas;
    }
    const [w, h] = frame.size as [number, number];
    const { center, resolution } = frame.viewState;
    const moving = frame.viewHints.some((n) => n > 0);
    // While the map is dragged a coarse picture that keeps up is better than a fine one that does not.
    const ratio = moving ? 0.5 : Math.min(frame.pixelRatio, finest);
    const view = [center, resolution, w, h, ratio].join();
    if (view !== this.view) {
      this.view = view;
      const width = Math.max(Math.round(w * ratio), 1);
      const height = Math.max(Math.round(h * ratio), 1);
      const step = resolution / ratio;
      this.seen = screen(this.cells, {
        width,
        height,
        lon: (x) => ((center[0]! + (x + 0.5 - width / 2) * step) / radius) * degrees,
        lat: (y) => Math.atan(Math.sinh((center[1]! - (y + 0.5 - height / 2) * step) / radius)) * degrees,
      });
      this.canvas.width = width;
      this.canvas.height = height;
      this.canvas.style.width = `${w}px`;
      this.canvas.style.height = `${h}px`;
      this.image = new ImageData(width, height);
    }
    paint(this.seen!, this.look, this.level, this.highest, new Uint32Array(this.image!.data.buffer));
    this.canvas.getContext('2d')!.putImageData(this.image!, 0, 0);
    return this.canvas;
  }
}
