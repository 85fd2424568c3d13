import { useMutation } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useKinds, write, type Kinds, type Nature } from '../conditions/kinds';
import { clock, day } from '../format/time';
import { usePlace } from '../moment/moment';
import { ChooseFile } from '../file/ChooseFile';
import { places as say } from '../words/places';

/** A column of the first few kinds, in the second unit where there is one. */
const examples = (kinds: Kinds) =>
  kinds.list
    .slice(0, 3)
    .map((n) => n.columns[1] ?? n.columns[0])
    .join(', ');

/** What an instrument has logged: a temperature logger's CSV, a station's, or a sounder's NMEA 0183. */
export function Logs() {
  const here = usePlace();
  const invalidate = useInvalidate();
  const kinds = useKinds();
  const { message } = App.useApp();
  const zone = here.spot.time_zone;
  const [file, setFile] = useState<{ name: string; text: string }>();
  const read = useMutation({
    mutationFn: async (v: { name: string; text: string; keep: boolean }) =>
      api.readLog(here.spot.water_id, v.text, { name: v.name.slice(0, 80), time_zone: zone, keep: v.keep }),
    onSuccess: (log, v) => {
      if (!v.keep) return;
      void message.success(say.readingsAreKeptFor(log.kept, here.spot.water));
      void invalidate('readings');
      setFile(undefined);
      read.reset();
    },
  });
  const log = read.data;
  return (
    <section className="panel">
      <h2>{say.logsOfInstruments}</h2>
      <p className="quiet">{say.csvWithAColumnTime(examples(kinds), here.spot.water)}</p>
      <ChooseFile
        says={say.chooseALog}
        accept=".csv,.nmea,.txt,.log,text/csv,text/plain"
        fault={read.error ? `${file?.name}: ${read.error.message}` : undefined}
        onFile={(f) => {
          void f.text().then((text) => {
            setFile({ name: f.name, text });
            read.mutate({ name: f.name, text, keep: false });
          });
        }}
      />
      <p className="take">
        <a
          href={`/api/v1/waters/${here.spot.water_id}/readings.csv`}
          download={say.readingsCsv(here.spot.water)}
        >
          {say.takeAlongWhatWasObserved(here.spot.water)}
        </a>
      </p>
      {log && file && (
        <div className="log-read">
          <p>
            {say.nothingIsStoredYet(
              file.name,
              log.from && `${day(log.from, zone)} ${clock(log.from, zone)}`,
              log.to && `${day(log.to, zone)} ${clock(log.to, zone)}`,
            )}
          </p>
          <ul>
            {log.kinds.map((k) => (
              <li key={k.kind}>
                {say.ofTo(
                  <b>{k.n}</b>,
                  kinds.of(k.kind)?.long.toLowerCase() ?? k.kind,
                  writtenOf(kinds.of(k.kind), k.low),
                  writtenOf(kinds.of(k.kind), k.high),
                )}
              </li>
            ))}
            {log.soundings > 0 && <li>{say.depthsWithAPlace(<b>{log.soundings}</b>)}</li>}
            {log.passed_by > 0 && <li className="quiet">{say.damagedOrForeignLinesPassed(log.passed_by)}</li>}
          </ul>
          <Button
            type="primary"
            disabled={log.kinds.length === 0}
            loading={read.isPending}
            onClick={() => read.mutate({ ...file, keep: true })}
          >
            {say.keepTheseReadings}
          </Button>
        </div>
      )}
    </section>
  );
}

const writtenOf = (n: Nature | undefined, v: number) => (n ? write(n, v) : String(v));
