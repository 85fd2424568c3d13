import type { ReactNode } from 'react';
import type { BenchIn, BenchOut, Calculation, Usual } from '../api/client';
import type { Measure } from '../format/spoken';
import type { Moment as Time, Place } from '../moment/moment';

/** Where and when the bench stands. */
export type Moment = Time & Pick<Place, 'spot'>;

/** Something a tool asks for, as it is written on screen. */
export interface Field {
  key: string;
  label: string;
  /** What is measured, in the person’s unit. */
  measure?: Measure;
  unit?: string;
  /** How many SI units one of the shown units is. */
  si?: number;
  step?: number;
  min?: number;
  max?: number;
  /** Words to choose from instead of a number. */
  words?: readonly string[];
  text?: boolean;
}

export type Values = Record<string, number | string | undefined>;

/** A calculation of the bench, with what it asks for and how its result is shown. */
export interface Tool<N extends Calculation = Calculation> {
  id: N;
  name: string;
  says: string;
  fields: Field[];
  /** Fitted to the chosen spot and moment and to the kit, in SI. */
  first: (m: Moment, u: Usual) => Values;
  body: (v: Values, m: Moment) => BenchIn<N>;
  /** The result in one line, for the log. */
  line: (r: BenchOut<N>, v: Values) => string;
  show?: (r: BenchOut<N>, v: Values, m: Moment) => ReactNode;
}

/** Keeps the types of one tool together. */
export const tool = <N extends Calculation>(t: Tool<N>) => t as unknown as Tool;

export const num = (v: Values, key: string) => Number(v[key]);
