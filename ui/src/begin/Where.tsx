import { Button, Input } from 'antd';
import { Suspense, useState } from 'react';
import type { LatLon } from '../api/client';
import { position, written } from '../format/position';
import { page } from '../frame/page';
import { begin as say } from '../words/begin';

const LandMap = page(() => import('./LandMap'));

/** The place of a water: touched on a coarse map, taken from the device, or typed. */
export function Where({ pin, onPin }: { pin: LatLon | undefined; onPin: (p: LatLon) => void }) {
  const [says, setSays] = useState('');
  const [asking, setAsking] = useState(false);
  const here = () => {
    if (!('geolocation' in navigator)) return setSays(say.thisBrowserGivesNoPosition);
    setAsking(true);
    navigator.geolocation.getCurrentPosition(
      (p) => {
        setAsking(false);
        setSays('');
        onPin({ lat: p.coords.latitude, lon: p.coords.longitude });
      },
      (e) => {
        setAsking(false);
        setSays(e.code === e.PERMISSION_DENIED ? say.thePositionWasRefusedTouch : say.thePositionIsNotTo);
      },
      { enableHighAccuracy: true, timeout: 15_000 },
    );
  };
  return (
    <>
      <p className="begin-here">
        <Button loading={asking} onClick={here}>
          {say.iAmHere}
        </Button>
        <span className="quiet small" role="status">
          {says || say.orTouchTheMapDraw}
        </span>
      </p>
      <Suspense fallback={<div className="land-map quiet">{say.fetchingTheMap}</div>}>
        <LandMap pin={pin} onPin={onPin} />
      </Suspense>
      <Typed key={pin ? `${pin.lat} ${pin.lon}` : ''} pin={pin} onPin={onPin} />
    </>
  );
}

function Typed({ pin, onPin }: { pin: LatLon | undefined; onPin: (p: LatLon) => void }) {
  const [text, setText] = useState(written(pin));
  const wrong = text.trim() !== '' && !position(text);
  const take = () => {
    const p = position(text);
    if (p && text !== written(pin)) onPin(p);
  };
  return (
    <label className="begin-name-field">
      {say.latitudeLongitude}
      <Input
        value={text}
        placeholder="41.49, -71.32"
        status={wrong ? 'error' : ''}
        onChange={(e) => setText(e.target.value)}
        onBlur={take}
        onPressEnter={take}
      />
      {wrong && <span className="small caution">{say.twoNumbersInDegreesLike}</span>}
    </label>
  );
}
