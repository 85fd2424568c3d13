import type { LatLon, Spot } from '../api/client';

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

/** The spot that lies nearest. East and west shrink with the latitude. */
export function nearestSpot(spots: Spot[], at: LatLon): Spot | undefined {
  const shrink = Math.cos((at.lat * Math.PI) / 180);
  const away = (s: Spot) => Math.hypot(s.lat - at.lat, (((s.lon - at.lon + 540) % 360) - 180) * shrink);
  return [...spots].sort((a, b) => away(a) - away(b))[0];
}
