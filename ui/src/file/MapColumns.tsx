import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { keys } from '../api/keys';
import { fits, guess, header, renamed, type Column } from './columns';
import './file.css';
import { file as say } from '../words/file';

/** A file on its way in: as it is, or with its columns named by the person. */
interface Waiting {
  name: string;
  text: string;
}

const key = (reader: string, names: string[]) =>
  `greypebble.columns.${reader}.${names.join('|').slice(0, 300)}`;

/**
 * Lets a CSV file through to its reader. One whose columns go by other names, or are in other units, is asked
 * about first; the answer is remembered for files of the same columns.
 */
export function useColumns(
  reader: string,
  onText: (text: string, name: string) => void,
  /** The reader refuses columns it does not know. */
  strict = false,
) {
  const queries = useQueryClient();
  const known = { queryKey: keys.columns, queryFn: api.fileColumns, staleTime: Infinity };
  const columns = useQuery(known);
  const [waiting, setWaiting] = useState<Waiting>();
  const wanted = columns.data?.[reader] ?? [];
  const take = async (f: File) => {
    const text = await f.text();
    // A file may be handed over before it is known what columns are read.
    const wanted = (await queries.ensureQueryData(known).catch(() => undefined))?.[reader] ?? [];
    const { names } = header(text);
    setWaiting(undefined);
    if (names.length < 2 || wanted.length === 0 || fits(names, wanted, strict)) return onText(text, f.name);
    const mapped = localStorage.getItem(key(reader, names));
    if (mapped) return onText(renamed(text, JSON.parse(mapped) as (string | undefined)[]), f.name);
    setWaiting({ name: f.name, text });
  };
  const form = waiting && (
    <MapColumns
      key={waiting.name + waiting.text.length}
      waiting={waiting}
      wanted={wanted}
      onLeave={() => setWaiting(undefined)}
      onMapped={(mapped) => {
        localStorage.setItem(key(reader, header(waiting.text).names), JSON.stringify(mapped));
        setWaiting(undefined);
        onText(renamed(waiting.text, mapped), waiting.name);
      }}
    />
  );
  return { take, form };
}

function MapColumns(props: {
  waiting: Waiting;
  wanted: Column[];
  onMapped: (mapped: (string | undefined)[]) => void;
  onLeave: () => void;
}) {
  const { waiting, wanted, onMapped, onLeave } = props;
  const { names, separator } = header(waiting.text);
  const [mapped, setMapped] = useState<(string | undefined)[]>(() => names.map((n) => guess(n, wanted)));
  const rows = waiting.text
    .split(/\r?\n/)
    .slice(1, 4)
    .map((l) => l.split(separator));
  const given = mapped.filter((m) => m !== undefined);
  const twice = given.find((m, i) => given.indexOf(m) !== i);
  const missing = wanted.filter((c) => c.needed && !c.names.some((n) => given.includes(n)));
  const options = wanted.map((c) => ({
    label: c.says,
    options: c.names.map((n) => ({ value: n, label: n.replaceAll('_', ' ') })),
  }));
  return (
    <div className="map-columns">
      <h3>{say.whichColumnIsWhich}</h3>
      <p className="quiet small">{say.goesByOtherNamesSay(waiting.name)}</p>
      <table>
        <thead>
          <tr>
            <th scope="col">{say.inTheFile}</th>
            <th scope="col">{say.begins}</th>
            <th scope="col">{say.is}</th>
          </tr>
        </thead>
        <tbody>
          {names.map((n, i) => (
            <tr key={i}>
              <th scope="row">{n || say.column(i + 1)}</th>
              <td className="quiet small">{rows.map((r) => r[i] ?? '').join(' · ')}</td>
              <td>
                <Select
                  aria-label={say.isWhat(n)}
                  allowClear
                  placeholder={say.passedOver}
                  value={mapped[i]}
                  options={options}
                  popupMatchSelectWidth={false}
                  onChange={(v: string | undefined) => setMapped(mapped.map((m, k) => (k === i ? v : m)))}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="map-acts">
        <Button
          type="primary"
          disabled={missing.length > 0 || twice !== undefined}
          onClick={() => onMapped(mapped)}
        >
          {say.readItSo}
        </Button>
        <Button onClick={onLeave}>{say.leaveIt}</Button>
      </div>
      {missing.length > 0 && (
        <p className="quiet small">{say.stillWanted(missing.map((c) => c.says).join('; '))}</p>
      )}
      {twice && <p className="caution small">{say.twoColumnsCannotBothBe(twice.replaceAll('_', ' '))}</p>}
    </div>
  );
}
