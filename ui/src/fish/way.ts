import type { Window } from '../api/client';

/** How the way stands at a moment, by the windows it is open in; they hold for days, with no signal too. */
export interface Way {
  open: boolean;
  /** When it shuts, or opens; left out where that lies beyond what is known. */
  shuts?: string;
  opens?: string;
  /** Why it is shut. */
  why: string;
}

/** The way by its windows, in their order; undefined where they say nothing of the moment. */
export function wayAt(windows: Window[] | undefined, now: Date): Way | undefined {
  if (!windows) return undefined;
  const t = now.getTime();
  const begins = (w: Window) => (w.opens ? Date.parse(w.opens) : -Infinity);
  const ends = (w: Window) => (w.closes ? Date.parse(w.closes) : Infinity);
  const in_ = windows.find((w) => begins(w) <= t && t < ends(w));
  if (in_) return { open: true, why: '', ...(in_.closes ? { shuts: in_.closes } : {}) };
  const next = windows.find((w) => begins(w) > t);
  const before = windows.findLast((w) => ends(w) <= t);
  return { open: false, why: before?.closed_by ?? '', ...(next?.opens ? { opens: next.opens } : {}) };
}
