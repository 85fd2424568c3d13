import type { AheadData } from '../api/client';
import { ahead as say } from '../words/ahead';

export type Row = AheadData['spots'][number];

/** What an hour is worth to one who seeks some of the targets (none: any), as a hundredth; 0 where one cannot fish. */
export function worth(row: Row, targets: string[]): Int16Array {
  const hours = row.state.length;
  const out = new Int16Array(hours);
  for (const [id, cells] of Object.entries(row.cells)) {
    if (!cells || (targets.length > 0 && !targets.includes(id))) continue;
    for (let h = 0; h < hours; h++) if (cells[h]! > out[h]!) out[h] = cells[h]!;
  }
  return out;
}

/** The targets of a row at an hour, best first, of those sought. */
export function bestAt(row: Row, hour: number, targets: string[]): { id: string; edge: number }[] {
  return Object.entries(row.cells)
    .flatMap(([id, cells]) => {
      const edge = (cells?.[hour] ?? 0) / 100;
      return edge > 0 && (targets.length === 0 || targets.includes(id)) ? [{ id, edge }] : [];
    })
    .sort((a, b) => b.edge - a.edge);
}

/** Rows in the order of the best that is open in them; those that stay shut come last. */
export function ordered(rows: Row[], targets: string[]): { row: Row; worth: Int16Array }[] {
  const best = (row: Row, list: Int16Array) => {
    let most = 0;
    for (let h = 0; h < list.length; h++) if (row.state[h] === 'o' && list[h]! > most) most = list[h]!;
    return most;
  };
  return rows
    .map((row) => ({ row, worth: worth(row, targets) }))
    .map((r) => ({ ...r, best: best(r.row, r.worth) }))
    .sort((a, b) => b.best - a.best || a.row.spot.localeCompare(b.row.spot))
    .map(({ row, worth: w }) => ({ row, worth: w }));
}

/** Why one does not go in an hour, where something is said. */
export function against(row: Row, hour: number): string | undefined {
  switch (row.state[hour]) {
    case 'd':
      return row.against.filter((a) => a.hour <= hour).at(-1)?.says;
    case 't':
      return say.tooLittleWaterOverEvery;
    case 's':
      return say.theWayThereOrBack;
    case 'c':
      return say.aRuleClosesIt;
  }
  return undefined;
}
