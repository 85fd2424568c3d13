/** A bar of a round length. */
export function ScaleBar({ resolution, lat }: { resolution: number; lat: number }) {
  // The projection stretches distances away from the equator.
  const metresPerPixel = resolution * Math.cos((lat * Math.PI) / 180);
  const most = metresPerPixel * 110;
  const unit = 10 ** Math.floor(Math.log10(most));
  const length = [5, 2, 1].map((n) => n * unit).find((l) => l <= most) ?? unit;
  return (
    <div className="map-scale" style={{ width: length / metresPerPixel }}>
      {length >= 1000 ? `${length / 1000} km` : `${length} m`}
    </div>
  );
}
