// Makes the one file of known tide stations that the program carries: those of NOAA (public domain) and of
// TICON-4 (CC BY 4.0), without places' names from elsewhere and without whatever may not be passed on.
// Usage: node scripts/stations.mjs FILE
import { stations } from '@neaps/tide-database';
import { writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const sources = {
  noaa: {
    name: 'US National Oceanic and Atmospheric Administration',
    licence: 'public domain',
    attribution: 'Harmonic constants and offsets: US NOAA, public domain',
  },
  ticon: {
    name: 'TICON-4',
    licence: 'CC BY 4.0',
    attribution:
      'Hart-Davis, M., Dettmering, D., Seitz, F. (2025), TICON-4: TIdal CONstants based on GESLA-4 sea-level records, SEANOE, doi 10.17882/109129, CC BY 4.0; datums derived by the Neaps tide database',
  },
};
const licences = { noaa: 'public domain', ticon: 'cc-by-4.0' };

const round = (x, n) => Number(x.toFixed(n));
const source = (s) => s.id.split('/')[0];
const usable = (s) =>
  s.kind === 'tide' &&
  licences[source(s)] === s.license?.type &&
  s.license.commercial_use === true &&
  (s.offsets ||
    (Number.isFinite(s.datums?.MSL) &&
      Number.isFinite(s.datums?.[s.chart_datum]) &&
      s.harmonic_constituents.length > 3));

const chosen = stations.filter(usable);
const ids = new Set(chosen.map((s) => s.id));
const out = chosen
  .filter((s) => !s.offsets || ids.has(s.offsets.reference))
  .sort((a, b) => (a.id < b.id ? -1 : 1))
  .map((s) => ({
    id: s.id,
    name: s.name,
    region: (s.region_code ?? s.country_code ?? '').replace(/^US-/, ''),
    country: s.country_code,
    lat: round(s.latitude, 4),
    lon: round(s.longitude, 4),
    zone: s.timezone,
    datum: s.offsets ? 'MLLW' : s.chart_datum,
    ...(s.offsets
      ? {
          reference: s.offsets.reference,
          lag: [s.offsets.time.high, s.offsets.time.low],
          height: [round(s.offsets.height.high, 3), round(s.offsets.height.low, 3)],
          fixed: s.offsets.height.type === 'fixed',
        }
      : {
          z0: round(s.datums.MSL - s.datums[s.chart_datum], 3),
          c: s.harmonic_constituents.map((h) => [h.name, round(h.amplitude, 4), round(h.phase, 2)]),
        }),
  }));
const counts = Object.fromEntries(
  Object.keys(sources).map((k) => [k, out.filter((s) => s.id.startsWith(`${k}/`)).length]),
);
writeFileSync(process.argv[2], gzipSync(JSON.stringify({ sources, stations: out }), { level: 9 }));
console.log(`known stations: ${JSON.stringify(counts)}, ${out.filter((s) => s.reference).length} of them secondary`);
