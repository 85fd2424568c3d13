import { Input, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { back as say } from '../words/back';

const key = 'greypebble.log-filters';

interface Saved {
  name: string;
  address: string;
}

function stored(): Saved[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as Saved[];
  } catch {
    return [];
  }
}

/** Filters kept by a name on this device; what stands in the address is what is kept. */
export function SavedFilters({ address }: { address: string }) {
  const go = useNavigate();
  const [list, setList] = useState(stored);
  const [name, setName] = useState('');
  const keep = (now: Saved[]) => {
    localStorage.setItem(key, JSON.stringify(now));
    setList(now);
  };
  const at = list.find((s) => s.address === address);
  return (
    <>
      {list.length > 0 && (
        <Select
          aria-label={say.savedFilters}
          placeholder={say.savedFilters}
          value={at?.name ?? null}
          onChange={(n: string) => void go(`/back?${list.find((s) => s.name === n)?.address ?? ''}`)}
          options={list.map((s) => ({ value: s.name, label: s.name }))}
        />
      )}
      {address && !at && (
        <span className="save-filter">
          <Input
            aria-label={say.filterName}
            placeholder={say.filterName}
            maxLength={60}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <button
            className="act"
            disabled={!name.trim()}
            onClick={() => {
              keep([...list.filter((s) => s.name !== name.trim()), { name: name.trim(), address }]);
              setName('');
            }}
          >
            {say.keepFilter}
          </button>
        </span>
      )}
      {at && (
        <button className="plain" onClick={() => keep(list.filter((s) => s !== at))}>
          {say.forgetFilter(at.name)}
        </button>
      )}
    </>
  );
}
