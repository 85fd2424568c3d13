/** A grid of elevations as the server sends it: centimetres above chart datum, rows from south to north. */
export interface Cells {
  south: number;
  west: number;
  dLat: number;
  dLon: number;
  rows: number;
  cols: number;
  z: Float32Array;
  /** How lit each cell is by a low light from the north-west; 128 is level ground. */
  lit: Uint8Array;
}

/** Stands for an elevation nobody knows. */
export const unknown = -32768;

type Lattice = {
  south_deg: number;
  west_deg: number;
  dlat_deg: number;
  dlon_deg: number;
  rows: number;
  cols: number;
};

export function readCells(g: Lattice, raw: ArrayBuffer): Cells {
  const from = new DataView(raw);
  const z = new Float32Array(g.rows * g.cols);
  for (let i = 0; i < z.length; i++) {
    const v = from.getInt16(2 * i, true);
    z[i] = v === unknown ? NaN : v;
  }
  const cells = {
    south: g.south_deg,
    west: g.west_deg,
    dLat: g.dlat_deg,
    dLon: g.dlon_deg,
    rows: g.rows,
    cols: g.cols,
  };
  return { ...cells, z, lit: light(z, cells) };
}

const metresADegree = 111195;
/** How much steeper the ground is drawn than it is. */
const relief = 9;

function light(z: Float32Array, g: Omit<Cells, 'z' | 'lit'>): Uint8Array {
  const north = 100 * g.dLat * metresADegree;
  const east = 100 * g.dLon * metresADegree * Math.cos((g.south * Math.PI) / 180);
  const lit = new Uint8Array(z.length).fill(128);
  for (let r = 1; r + 1 < g.rows; r++) {
    for (let c = 1; c + 1 < g.cols; c++) {
      const i = r * g.cols + c;
      const dx = ((z[i + 1]! - z[i - 1]!) / (2 * east)) * relief;
      const dy = ((z[i + g.cols]! - z[i - g.cols]!) / (2 * north)) * relief;
      // Lambert's cosine against a light 45° high in the north-west, level ground at 128.
      const cos = (1 + (dx - dy) / Math.SQRT2) / Math.sqrt(1 + dx * dx + dy * dy);
      if (cos === cos) lit[i] = Math.max(0, Math.min(255, 128 * cos));
    }
  }
  return lit;
}
