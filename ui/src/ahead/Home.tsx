import { Button, Input } from 'antd';
import { useState } from 'react';
import type { LatLon } from '../api/client';
import { position, written } from '../format/position';
import { ahead as say } from '../words/ahead';

const key = 'greypebble.home';

/** Where one sets out, kept on this device; undefined where the way there is not to be counted. */
export function useHome(): [LatLon | undefined, (p: LatLon | undefined) => void] {
  const [home, setHome] = useState(() => position(localStorage.getItem(key) ?? '') ?? undefined);
  return [
    home,
    (p) => {
      localStorage.setItem(key, written(p));
      setHome(p);
    },
  ];
}

/** The place one sets out from: typed in degrees, or where the device is. */
export function HomeField(props: { value: LatLon | undefined; onChange: (p: LatLon | undefined) => void }) {
  const { value, onChange } = props;
  const [text, setText] = useState(written(value));
  const [says, setSays] = useState('');
  const wrong = text.trim() !== '' && !position(text);
  const take = (t: string) => {
    const p = position(t);
    if (p || t.trim() === '') onChange(p ?? undefined);
  };
  const here = () => {
    if (!('geolocation' in navigator)) return setSays(say.noPositionHere);
    navigator.geolocation.getCurrentPosition(
      (p) => {
        const at = written({ lat: p.coords.latitude, lon: p.coords.longitude });
        setSays('');
        setText(at);
        take(at);
      },
      () => setSays(say.noPositionHere),
      { enableHighAccuracy: true, timeout: 15_000 },
    );
  };
  return (
    <div className="day-home">
      <label>
        {say.setOutFrom}
        <Input
          value={text}
          placeholder={say.notCounted}
          status={wrong ? 'error' : ''}
          onChange={(e) => setText(e.target.value)}
          onBlur={() => take(text)}
          onPressEnter={() => take(text)}
        />
      </label>
      <Button onClick={here}>{say.whereIAm}</Button>
      {(wrong || says) && (
        <span className="small caution" role="status">
          {wrong ? say.twoNumbersInDegrees : says}
        </span>
      )}
    </div>
  );
}
