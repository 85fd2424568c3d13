/** Three short tones, as loud as a device is set to. They sound once somebody has touched the page. */
export function sound(): void {
  const Audio = window.AudioContext;
  if (!Audio) return;
  const ctx = new Audio();
  for (const at of [0, 0.35, 0.7]) {
    const tone = ctx.createOscillator();
    const loud = ctx.createGain();
    tone.frequency.value = 880;
    loud.gain.setValueAtTime(0.5, ctx.currentTime + at);
    loud.gain.exponentialRampToValueAtTime(0.001, ctx.currentTime + at + 0.3);
    tone.connect(loud).connect(ctx.destination);
    tone.start(ctx.currentTime + at);
    tone.stop(ctx.currentTime + at + 0.3);
  }
  setTimeout(() => void ctx.close(), 1_500);
}

const stamp = (t: Date) => t.toISOString().replace(/[-:]|\.\d+/g, '');
const escaped = (text: string) => text.replace(/[\\;,]/g, (c) => `\\${c}`).replace(/\n/g, '\\n');

/** An entry for a calendar with an alarm of its own (RFC 5545): a locked phone rings it, whatever a page may do. */
export function calendar(id: string, title: string, at: Date, now: Date): string {
  return [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Grey Pebble//Fish//EN',
    'BEGIN:VEVENT',
    `UID:be-out-${id}`,
    `DTSTAMP:${stamp(now)}`,
    `SEQUENCE:${Math.floor(now.getTime() / 60_000) % 2 ** 31}`,
    `DTSTART:${stamp(at)}`,
    `DTEND:${stamp(new Date(at.getTime() + 15 * 60_000))}`,
    `SUMMARY:${escaped(title)}`,
    'BEGIN:VALARM',
    'ACTION:DISPLAY',
    `DESCRIPTION:${escaped(title)}`,
    'TRIGGER:PT0M',
    'END:VALARM',
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n');
}

/** Hands a text over as a file. */
export function download(name: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
