import units from './units.json';
import { format as say } from '../words/format';

/** What was typed cannot be read; it says why. */
export class Unreadable extends Error {}

const term = /^\s*(\d+\s+\d+\/\d+|\d+\/\d+|\d*[.,]?\d+)\s*([^\d\s.,½¼¾⅛⅜⅝⅞⅓⅔-]*)\s*/;
type Lookup = Record<string, string>;
const known: Record<string, { dimension: string; scale: number; offset: number }> = units.units;

/**
 * Reads what is typed where a measure is asked for: "3 ft 6", "1/2 oz", "10 lb", "54F", "12 kn", "1.2m",
 * a bare number in the unit offered. The same is done by the core (quantity.Typed).
 */
export function typed(dimension: string, text: string, offered: string): number {
  let s = text.trim().replaceAll('−', '-');
  for (const [sign, plain] of Object.entries(units.fractions)) s = s.replaceAll(sign, ` ${plain}`);
  s = s.trim();
  const sign = s.startsWith('-') ? -1 : 1;
  s = s.replace(/^-/, '').trimStart();
  if (s === '') throw new Unreadable(say.expected(example(dimension, offered)));
  let total = 0;
  let last = '';
  let named = false;
  for (let n = 0; s !== ''; n++) {
    const found = term.exec(s);
    // What follows a number without a unit is no part of it.
    if (!found || (n > 0 && !named))
      throw new Unreadable(say.cannotBeReadExpected(text, example(dimension, offered)));
    s = s.slice(found[0].length);
    const symbol = unitOf(found[2]!, n, last, offered);
    const u = symbol === undefined ? undefined : known[symbol];
    if (symbol === undefined || !u)
      throw new Unreadable(say.thereIsNoUnitExpected(found[2], example(dimension, offered)));
    if (u.dimension !== dimension)
      throw new Unreadable(say.isAExpected(text, u.dimension, example(dimension, offered)));
    if (n > 0 && (u.offset !== 0 || (units.smaller as Lookup)[last] !== symbol))
      throw new Unreadable(say.inDoesNotFollow(text, symbol, last));
    total += sign * value(found[1]!) * u.scale + u.offset;
    last = symbol;
    named = found[2] !== '';
  }
  if (!Number.isFinite(total)) throw new Unreadable(say.holdsNoNumberThatCan(text));
  return total;
}

function unitOf(s: string, n: number, last: string, offered: string): string | undefined {
  if (s === '') return n === 0 ? offered : (units.smaller as Lookup)[last];
  if (s in known) return s;
  const lower = s.toLowerCase();
  return (units.spellings as Lookup)[lower] ?? (lower in known ? lower : undefined);
}

function value(s: string): number {
  const [whole, broken] = s.includes(' ') ? s.split(/\s+/) : s.includes('/') ? ['0', s] : [s, '0/1'];
  const [over, under] = broken!.split('/');
  return Number(whole!.replace(',', '.')) + Number(over) / Number(under);
}

function example(dimension: string, offered: string): string {
  switch (dimension) {
    case 'length':
      return say.somethingLike12M;
    case 'mass':
      return say.somethingLike7G1;
    case 'temperature':
      return say.somethingLike12COr;
    case 'speed':
      return say.somethingLike5MS;
    case 'pressure':
      return say.somethingLike1013HpaOr;
  }
  return say.aNumber(offered);
}
