import { useEffect, useRef } from 'react';
import type { LatLon, Spot } from '../api/client';

/** Where the device is and how it goes, as it last knew: course in degrees, speed in m/s, where it moves. */
export interface Fix extends LatLon {
  course_deg?: number;
  speed_ms?: number;
}

const fixOf = (p: GeolocationPosition): Fix => ({
  lat: p.coords.latitude,
  lon: p.coords.longitude,
  ...(p.coords.heading !== null && !Number.isNaN(p.coords.heading) && p.coords.speed
    ? { course_deg: p.coords.heading, speed_ms: p.coords.speed }
    : {}),
});

/** Where the device is, if it may say and knows within a second or two; nothing otherwise. */
export function positionNow(within = 2_000): Promise<LatLon | undefined> {
  return new Promise((done) => {
    if (!('geolocation' in navigator)) return done(undefined);
    navigator.geolocation.getCurrentPosition(
      (p) => done({ lat: p.coords.latitude, lon: p.coords.longitude }),
      () => done(undefined),
      { timeout: within, maximumAge: 20_000, enableHighAccuracy: true },
    );
  });
}

/** So long a fix counts as where one is, ms. */
const fresh = 30_000;

/** Where the device is while something asks: read when it is needed, so that no touch waits for it. */
export function useFix(on: boolean): () => Fix | undefined {
  const last = useRef<{ fix: Fix; at: number }>(undefined);
  useEffect(() => {
    if (!on || !('geolocation' in navigator)) return undefined;
    const id = navigator.geolocation.watchPosition(
      (p) => {
        last.current = { fix: fixOf(p), at: Date.now() };
      },
      () => undefined,
      { maximumAge: 10_000, enableHighAccuracy: true },
    );
    return () => navigator.geolocation.clearWatch(id);
  }, [on]);
  return () => (last.current && Date.now() - last.current.at < fresh ? last.current.fix : undefined);
}

/** The spot that lies nearest. East and west shrink with the latitude. */
export function nearestSpot(spots: Spot[], at: LatLon): Spot | undefined {
  const shrink = Math.cos((at.lat * Math.PI) / 180);
  const away = (s: Spot) => Math.hypot(s.lat - at.lat, (((s.lon - at.lon + 540) % 360) - 180) * shrink);
  return [...spots].sort((a, b) => away(a) - away(b))[0];
}
