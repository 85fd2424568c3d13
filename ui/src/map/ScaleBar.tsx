import { unitOf, way } from '../format/spoken';
import { map as say } from '../words/map';
/** A bar of a round length. */
export function ScaleBar({ resolution, lat }: { resolution: number; lat: number }) {
  // The projection stretches distances away from the equator.
  const metresPerPixel = resolution * Math.cos((lat * Math.PI) / 180);
  const most = metresPerPixel * 110;
  // Round in the unit it is told in: long distances in kilometres or miles.
  const mile = unitOf('distance') === 'm' ? 1000 : 1609.344;
  const one = most >= mile ? mile : way('distance').scale;
  const ten = 10 ** Math.floor(Math.log10(most / one));
  const round = [5, 2, 1].map((n) => n * ten).find((l) => l * one <= most) ?? ten;
  const length = round * one;
  return (
    <div className="map-scale" style={{ width: length / metresPerPixel }}>
      {Number(round.toPrecision(2))} {one === mile ? (mile === 1000 ? say.km : say.mi) : unitOf('distance')}
    </div>
  );
}
