import { NumberField } from '../format/NumberField';
import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { places as say } from '../words/places';

const privacy = [
  { value: 'leave_out', label: say.leavePrivateSpotsOut },
  { value: 'blur', label: say.blurPrivateSpots },
  { value: 'include', label: say.withPrivateSpots },
];

/** The spots as a file; private ones only when asked for. */
export function TakeAlong() {
  const formats = useQuery({ queryKey: keys.formats, queryFn: api.formats, staleTime: Infinity });
  const [format, setFormat] = useState('gpx');
  const [hide, setHide] = useState('leave_out');
  const [blur, setBlur] = useState(1000);
  const query = new URLSearchParams({
    format,
    private: hide,
    ...(hide === 'blur' && { blur_m: String(blur) }),
  });
  return (
    <div className="take-along">
      <h3>{say.takeYourSpotsAlong}</h3>
      <div className="keep">
        <Select
          aria-label={say.format}
          value={format}
          onChange={setFormat}
          options={(formats.data?.places ?? []).map((f) => ({ value: f.id, label: f.name }))}
        />
        <Select
          aria-label={say.privateSpots}
          value={hide}
          onChange={setHide}
          options={privacy}
          popupMatchSelectWidth={false}
        />
        {hide === 'blur' && (
          <label>
            {say.byUpTo}
            <NumberField
              measure="distance"
              min={100}
              max={20000}
              step={100}
              value={blur}
              onChange={(v) => setBlur(v ?? 1000)}
            />
          </label>
        )}
        <a className="take-link" href={`/api/v1/interchange/export?${query}`} download={`spots.${format}`}>
          {say.takeTheFile}
        </a>
      </div>
    </div>
  );
}
