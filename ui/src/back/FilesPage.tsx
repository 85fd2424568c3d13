import { useMutation, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { useTitle } from '../frame/useTitle';
import { clock, dayOfYear } from '../format/time';
import { usePlace } from '../moment/moment';
import { ChooseFile } from '../file/ChooseFile';
import { useColumns } from '../file/MapColumns';
import { Coming } from './Coming';
import { useFilters } from './useFilters';
import './evidence.css';
import './files.css';
import { back as say } from '../words/back';

/** The log as files: out as a table or a document, in from a table of one's own, and back again. */
export default function FilesPage() {
  useTitle(say.files.title);
  const { address } = useFilters();
  const [file, setFile] = useState<{ name: string; text: string }>();
  const { take, form } = useColumns('log', (text, name) => setFile({ text, name }));
  const choose = async (f: File) => {
    setFile(undefined);
    if (/\.json$/i.test(f.name)) setFile({ name: f.name, text: await f.text() });
    else await take(f);
  };
  return (
    <div className="log-files">
      <p>
        <Link to={`/back?${address}`}>{say.compare.toTheLog}</Link>
      </p>
      <h1>{say.files.title}</h1>
      <section className="panel">
        <h2>{say.files.in}</h2>
        <p className="quiet">{say.files.inSays}</p>
        <ChooseFile
          says={say.files.choose}
          accept=".csv,.json,.txt,text/csv,application/json"
          onFile={(f) => void choose(f)}
        />
        {form}
        {file && (
          <Coming
            key={file.name + file.text.length}
            name={file.name}
            text={file.text}
            onDone={() => setFile(undefined)}
          />
        )}
      </section>
      <Imports />
      <section className="panel">
        <h2>{say.files.out}</h2>
        <p className="quiet">{address ? say.files.outFiltered : say.files.outAll}</p>
        <p className="files-out">
          <a href={`/api/v1/interchange/log.csv?${address}`} download>
            {say.asCsv}
          </a>
          <span className="quiet small">{say.files.csvIs}</span>
          <a href={`/api/v1/interchange/log.json?${address}`} download>
            {say.files.asJson}
          </a>
          <span className="quiet small">{say.files.jsonIs}</span>
        </p>
      </section>
    </div>
  );
}

/** Files that came in, each to be taken back. */
function Imports() {
  const here = usePlace();
  const invalidate = useInvalidate();
  const list = useQuery({ queryKey: keys.imports, queryFn: api.imports });
  const [gone, setGone] = useState<string>();
  const back = useMutation({
    mutationFn: (i: { id: string; name: string }) => api.takeBackImport(i.id),
    onSuccess: async (out, i) => {
      await invalidate('log');
      setGone(say.files.went(i.name, out.spells));
    },
  });
  const zone = here.spots[0]?.time_zone ?? 'UTC';
  if (!list.data || (list.data.imports.length === 0 && !gone)) return null;
  return (
    <section className="panel">
      <h2>{say.files.before}</h2>
      {gone && <p role="status">{gone}</p>}
      <Fault of={[back]} />
      <ul className="files-before">
        {list.data.imports.map((i) => (
          <li key={i.id}>
            <b>{i.name}</b>
            <span>
              {say.files.cameIn(
                `${dayOfYear(i.made_at, zone)} ${clock(i.made_at, zone)}`,
                i.spells,
                i.changed,
              )}
            </span>
            <Button size="small" loading={back.isPending} onClick={() => back.mutate(i)}>
              {say.files.takeBack(i.name)}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
