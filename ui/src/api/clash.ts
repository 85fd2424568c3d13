import { Problem } from './client';
import { entry as say } from '../words/entry';

/** What one read and changed, and somebody changed or took out elsewhere meanwhile. */
export interface Clash<T> {
  /** What of it differs, or that it is gone, in a sentence. */
  says: string;
  /** What was sent, as it is to be sent to be written over what is stored. */
  over: T;
}

interface Revised {
  revision?: number;
  catches?: { revision?: number }[];
}

/** The clash that a refusal of what was sent tells of; undefined where it was refused for something else. */
export function clashOf<T extends Revised>(refusal: unknown, sent: T): Clash<T> | undefined {
  if (!(refusal instanceof Problem)) return undefined;
  const over = structuredClone(sent);
  const rows: Revised[] = [over, ...(over.catches ?? [])];
  if (refusal.status === 404 && rows.some((r) => r.revision)) {
    for (const r of rows) delete r.revision;
    return { says: say.goneElsewhere, over };
  }
  if (refusal.status !== 409) return undefined;
  const names = new Set<string>();
  let stored = false;
  for (const { location, value } of refusal.fields) {
    const [, of, name] = /^body\.(?:catches\[(\d+)\]\.)?(\w+)$/.exec(location) ?? [];
    const row = of === undefined ? over : over.catches?.[Number(of)];
    if (name === 'revision' && typeof value === 'number' && row) {
      row.revision = value;
      stored = true;
    } else if (name) names.add(say.fields[name] ?? name.replaceAll('_', ' '));
  }
  return stored ? { says: say.changedElsewhere([...names]), over } : undefined;
}
