import { describe, expect, it } from 'vitest';
import typedCases from '../../../core/quantity/testdata/typed.json';
import spokenCases from '../../../core/quantity/testdata/spoken.json';
import { distance, fromSI, line, show, speak, systemOf, toSI, way, type Measure } from './spoken';
import { typed, Unreadable } from './typed';

const say = (name: 'metric' | 'us') => speak({ units: systemOf(name), week: 'monday', chosen: true });

describe('what is typed', () => {
  it.each(typedCases)('reads “$text” as the core does', ({ as, offered, text, si }) => {
    if (si === undefined) expect(() => typed(as, text, offered)).toThrow(Unreadable);
    else expect(typed(as, text, offered)).toBeCloseTo(si, 9);
  });
  it('says what would do', () => {
    expect(() => typed('length', 'deep', 'm')).toThrow('expected something like 1.2 m or 3 ft 6');
    expect(() => typed('length', '3 lb', 'm')).toThrow('is a mass');
  });
});

describe('what is shown', () => {
  it.each(spokenCases)('writes $si as $text', ({ system, measure, si, text }) => {
    say(system as 'metric' | 'us');
    expect(show(measure as Measure, si)).toBe(text);
  });
  it('follows the unit chosen', () => {
    say('us');
    expect(show('rise', 0.14)).toBe('0.5 ft/h');
    expect(show('rod', 2.7432)).toBe('9.0 ft');
    expect(show('warming', 1)).toBe('1.8 °F');
    expect(distance(1609)).toBe('1.0 mi');
    expect(line(88.9644)).toBe('20 lb');
    say('metric');
    expect(distance(1609)).toBe('1.6 km');
    expect(line(88.9644)).toBe('20 lb (9 kg)');
  });
  it('keeps values through a change of units and back', () => {
    for (const name of ['us', 'metric'] as const) {
      say(name);
      for (const m of ['depth', 'tackle', 'wind', 'weight', 'temperature', 'thick', 'rod'] as Measure[])
        expect(toSI(way(m), fromSI(way(m), 1.234567))).toBeCloseTo(1.234567, 12);
    }
  });
});
