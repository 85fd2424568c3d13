import type { Schemas } from '../api/client';
import { file as say } from '../words/file';

export type Column = Schemas['ColumnOut'];

/** The first line of a CSV file, and what stands between its values. */
export function header(text: string): { names: string[]; separator: string } {
  const first = text.replace(/^\uFEFF/, '').split(/\r?\n/, 1)[0] ?? '';
  const separator = [';', '\t', ','].find((s) => first.includes(s)) ?? ',';
  return { names: first.split(separator).map((n) => n.trim().replace(/^"(.*)"$/, '$1')), separator };
}

/** Whether every column that is needed is there by a name its reader knows. */
export const fits = (names: string[], wanted: Column[], strict = false) =>
  (!strict || names.every((h) => wanted.some((c) => c.names.includes(h.toLowerCase())))) &&
  wanted.every((c) => !c.needed || c.names.some((n) => names.some((h) => h.toLowerCase() === n)));

const plain = (s: string) =>
  s
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Words columns are often called by. */
const called: Record<string, string[]> = {
  time: ['time', 'date time', 'datetime', 'timestamp', 'date', 'utc', 'local time'],
  height: ['height', 'level', 'water level', 'tide', 'stage', 'verified', 'value'],
  kind: ['kind', 'type', 'high low', 'hw lw'],
  lat: ['lat', 'latitude', 'y'],
  lon: ['lon', 'lng', 'long', 'longitude', 'x'],
  elevation: ['elevation', 'elev', 'z', 'bed'],
  depth: ['depth', 'sounding'],
  distance: ['distance', 'dist', 'chainage', 'out'],
  name: ['name', 'title', 'label', 'item'],
  note: ['note', 'notes', 'comment', 'description'],
  weight: ['weight', 'mass'],
  length: ['length', 'size'],
  count: ['count', 'quantity', 'qty', 'number'],
  break: ['break', 'strength', 'test'],
};
const units: Record<string, string[]> = {
  m: ['m', 'metres', 'meters'],
  ft: ['ft', 'feet', 'foot'],
  cm: ['cm'],
  mm: ['mm'],
  in: ['in', 'inch', 'inches'],
  kg: ['kg'],
  g: ['g', 'grams'],
  oz: ['oz', 'ounces'],
  lb: ['lb', 'lbs', 'pounds'],
};

/** The name a column may well stand for: "Water Level (ft)" is a height in feet. Nothing where it is not clear. */
export function guess(name: string, wanted: Column[]): string | undefined {
  const words = plain(name).split(' ');
  const known = wanted.flatMap((c) => c.names);
  if (known.includes(name.toLowerCase())) return name.toLowerCase();
  const unit = Object.entries(units).find(([, list]) => list.some((u) => words.includes(u)))?.[0];
  const rest = words.filter((w) => !unit || !units[unit]!.includes(w)).join(' ');
  for (const [stem, list] of Object.entries(called)) {
    if (!list.some((w) => rest === w || rest.startsWith(`${w} `) || rest.endsWith(` ${w}`))) continue;
    const found = known.find((n) => n === stem || (unit && n === `${stem}_${unit}`));
    if (found) return found;
  }
  return undefined;
}

/** The text with its columns named as they were mapped; what stands for nothing is to be passed over. */
export function renamed(text: string, mapped: (string | undefined)[]): string {
  const { names, separator } = header(text);
  const at = text.search(/\r?\n/);
  const first = names.map((_, i) => mapped[i] ?? say.passedOverColumn(i + 1)).join(separator);
  return at < 0 ? first : first + text.slice(at);
}
