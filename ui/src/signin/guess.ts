import { metricSettings, systemOf, type Settings } from '../format/spoken';

/** Countries where people speak of feet, ounces and °F. */
const inFeet = new Set(['US', 'LR', 'MM']);

/** What the browser's own language says of how its owner speaks of measures. */
export function guessed(language = navigator.language): Settings {
  const region = new Intl.Locale(language).maximize().region ?? '';
  const units = systemOf(inFeet.has(region) ? 'us' : 'metric');
  const half = new Intl.DateTimeFormat(language, { hour: 'numeric' }).resolvedOptions().hour12;
  return {
    ...metricSettings,
    units: { ...units, clock: half ? '12 h' : '24 h' },
    week: firstDay(language),
    chosen: false,
  };
}

function firstDay(language: string): Settings['week'] {
  const locale = new Intl.Locale(language) as Intl.Locale & {
    getWeekInfo?: () => { firstDay: number };
    weekInfo?: { firstDay: number };
  };
  const day = (locale.getWeekInfo?.() ?? locale.weekInfo)?.firstDay;
  return day === 7 ? 'sunday' : day === 6 ? 'saturday' : 'monday';
}
