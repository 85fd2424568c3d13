import type { LatLon } from '../api/client';

/** As it is typed. */
export const written = (p: LatLon | undefined) => (p ? `${p.lat.toFixed(5)}, ${p.lon.toFixed(5)}` : '');

/** "41.49, −71.32"; degrees alone. */
export function position(text: string): LatLon | null {
  const found = /^\s*([-−]?\d+(?:\.\d+)?)\s*°?\s*([NS])?[,;\s]+([-−]?\d+(?:\.\d+)?)\s*°?\s*([EW])?\s*$/i.exec(
    text,
  );
  if (!found) return null;
  const [, a, ns, b, ew] = found;
  const lat = Number(a!.replace('−', '-')) * (ns?.toUpperCase() === 'S' ? -1 : 1);
  const lon = Number(b!.replace('−', '-')) * (ew?.toUpperCase() === 'W' ? -1 : 1);
  return Math.abs(lat) <= 90 && Math.abs(lon) <= 180 ? { lat, lon } : null;
}
