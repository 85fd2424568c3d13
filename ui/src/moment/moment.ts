import { createContext, useContext } from 'react';
import type { Frame, ReadingIn, RibbonData, Spot, Visit } from '../api/client';
import type { Kind } from '../conditions/kinds';
import { moment as say } from '../words/moment';

/** What the angler says it is like, overruling the forecast; when and where it was said. */
export type Override = { value: number; time: string; spotId: string };
/** A reading the angler gives: a value, or a word for clarity. */
export type Said = { kind: Kind; value?: number; word?: string };
/** Minutes to be out before the way shuts; and whether one goes by day only. */
export interface Plan {
  margin: number;
  daylight: boolean;
  /** The best may lie in the dark. */
  night: boolean;
}
export type Overrides = Partial<Record<Kind, Override>>;

/** Where one is: it changes when another spot is chosen. */
export interface Place {
  /** The server's clock when the page was opened, and now. */
  now: Date;
  present: () => Date;
  spots: Spot[];
  spot: Spot;
  choose: (spotId: string) => void;
}

/** The chosen moment, which everything on screen follows: it changes while the ribbon moves. */
export interface Moment {
  ribbon?: RibbonData;
  /** Why there is no ribbon. */
  error?: string;
  index: number;
  frame?: Frame;
  moveTo: (index: number) => void;
  moveTime: (t: Date) => void;
  step: (frames: number) => void;
  turn: (direction: 1 | -1) => void;
  page: (hours: number) => void;
}

/** What the angler has said of the water: it changes when something is said. */
export interface Given {
  overrides: Overrides;
  override: (kind: Kind, value: number | null) => void;
  /** Keeps readings for the chosen moment; they then count everywhere. */
  say: (said: Said[]) => Promise<void>;
  takeBack: (kind: Kind, time: string) => Promise<void>;
  readings: ReadingIn[];
}

/** How a visit is planned, and the visits the ribbon and two days more hold. */
export interface Going {
  plan: Plan;
  setPlan: (p: Plan) => void;
  visits: Visit[];
  /** Why there is none. */
  why?: string;
}

export const PlaceContext = createContext<Place | null>(null);
export const MomentContext = createContext<Moment | null>(null);
export const GivenContext = createContext<Given | null>(null);
export const GoingContext = createContext<Going | null>(null);

function held<T>(value: T | null, what: string): T {
  if (!value) throw new Error(say.noHere(what));
  return value;
}

export const usePlace = () => held(useContext(PlaceContext), 'place');
export const useMoment = () => held(useContext(MomentContext), 'moment');
export const useGiven = () => held(useContext(GivenContext), 'readings');
export const useGoing = () => held(useContext(GoingContext), 'plan');

/** Index of the frame nearest to a time, by halving. */
export function nearest(frames: { time: string }[], t: number): number {
  let lo = 0;
  let hi = frames.length - 1;
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (Date.parse(frames[mid]!.time) < t) lo = mid + 1;
    else hi = mid;
  }
  if (lo > 0 && t - Date.parse(frames[lo - 1]!.time) <= Date.parse(frames[lo]!.time) - t) return lo - 1;
  return lo;
}
