/** Pushes labels apart that would lie on one another. */
export function spread<T extends { at: number }>(list: T[], apart: number): (T & { label: number })[] {
  const out = [...list].sort((a, b) => a.at - b.at).map((l) => ({ ...l, label: l.at }));
  for (let i = 1; i < out.length; i++) {
    out[i]!.label = Math.max(out[i]!.label, out[i - 1]!.label + apart);
  }
  return out;
}
