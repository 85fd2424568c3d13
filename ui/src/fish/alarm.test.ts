import { describe, expect, it } from 'vitest';
import { calendar } from './alarm';

describe('an alarm of the calendar', () => {
  const now = new Date('2026-11-20T09:00:00.123Z');
  const text = calendar('x', 'Be out: Kettle Bar, the gut', new Date('2026-11-20T11:40:00Z'), now);
  it('is at the moment, in lines as the standard has them', () => {
    expect(text).toContain('DTSTART:20261120T114000Z\r\n');
    expect(text).toContain('SUMMARY:Be out: Kettle Bar\\, the gut\r\n');
    expect(text).toContain('BEGIN:VALARM\r\n');
    expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true);
  });
  it('takes the place of the one before it', () => {
    const later = calendar('x', 'Be out', new Date('2026-11-20T12:00:00Z'), new Date('2026-11-20T10:00:00Z'));
    const sequence = (t: string) => Number(/SEQUENCE:(\d+)/.exec(t)![1]);
    expect(/UID:(.*)\r/.exec(later)![1]).toBe(/UID:(.*)\r/.exec(text)![1]);
    expect(sequence(later)).toBeGreaterThan(sequence(text));
  });
});
