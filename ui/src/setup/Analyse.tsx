import { useMutation } from '@tanstack/react-query';
import { App, Button, Input, Progress, Segmented } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { analyse } from '../api/analyse';
import { api, type Analysis } from '../api/client';
import { useInvalidate } from '../api/keys';
import { fixed } from '../format/measure';
import { day } from '../format/time';
import { usePlace } from '../moment/moment';
import { ChooseFile } from './ChooseFile';
import { FitChart } from './FitChart';

type Of = 'record' | 'turns';

const about: Record<Of, string> = {
  record:
    'A CSV file whose first line names the columns time and height_m (or height_cm, height_ft), fifteen days or more.',
  turns:
    'A CSV file with the columns time, height_m (or height_cm, height_ft) and kind (high or low), fifteen days or more; a year gives a good station.',
};

/** Constituents from a tide gauge's own record, or from a printed table of high and low waters. */
export function Analyse() {
  const here = usePlace();
  const zone = here.spot.time_zone;
  const [of, setOf] = useState<Of>('record');
  const [file, setFile] = useState('');
  const [share, setShare] = useState(0);
  const [place, setPlace] = useState(0);
  const run = useMutation({
    mutationFn: async (f: File) => {
      setShare(0);
      setPlace(0);
      return analyse(
        await f.text(),
        of,
        zone,
        (done) => {
          setPlace(0);
          setShare(done);
        },
        setPlace,
      );
    },
  });
  const a = run.data;
  return (
    <section className="panel">
      <h2>A station from what was measured</h2>
      <Segmented<Of>
        aria-label="What the file holds"
        value={of}
        onChange={(v) => {
          setOf(v);
          run.reset();
        }}
        options={[
          { value: 'record', label: 'Gauge record' },
          { value: 'turns', label: 'Table of high and low waters' },
        ]}
      />
      <p className="quiet about">
        {about[of]} Times without an offset are read as those of {here.spot.water}.
      </p>
      <ChooseFile
        says={of === 'record' ? 'Choose a record' : 'Choose a table'}
        accept=".csv,text/csv"
        onFile={(f) => {
          setFile(f.name);
          run.mutate(f);
        }}
      />
      {run.isPending && (
        <div className="progress" role="status">
          <Progress
            percent={Math.round(share * 100)}
            strokeColor="var(--accent-soft)"
            aria-label="Analysing"
          />
          <span className="quiet small">
            {place > 0 ? `Others go first: ${place} before ${file}` : `Analysing ${file}`}
          </span>
        </div>
      )}
      {run.error && (
        <p role="alert" className="caution">
          {file}: {run.error.message}
        </p>
      )}
      {a && !run.isPending && <Result key={file + a.from} a={a} of={of} file={file} zone={zone} />}
    </section>
  );
}

function Result({ a, of, file, zone }: { a: Analysis; of: Of; file: string; zone: string }) {
  const largest = [...a.constituents].sort((p, q) => q.amplitude_m - p.amplitude_m);
  return (
    <div className="analysis">
      <p>
        <b>{a.samples}</b> {of === 'record' ? 'readings' : 'high and low waters'} from {day(a.from, zone)} to{' '}
        {day(a.to, zone)}: <b>{a.constituents.length}</b> constituents, mean level <b>{fixed(a.z0_m, 3)} m</b>{' '}
        above the {of === 'record' ? 'gauge’s' : 'table’s'} zero, residual{' '}
        <b>{fixed(a.residual_rms_m, 3)} m</b>.{a.duplicates > 0 && ` ${a.duplicates} duplicates merged.`}
        {a.spikes > 0 && ` ${a.spikes} spikes given no weight.`}
        {a.shifts.map(
          (s) => ` The gauge’s zero moved by ${fixed(s.by_m, 2)} m on ${day(s.time, zone)}; allowed for.`,
        )}
        {of === 'record' && a.least_shift_m > 0 && (
          <span className="quiet">
            {' '}
            A lasting move of the zero is looked for, three at most; one of less than{' '}
            {fixed(a.least_shift_m, 2)} m, or within three days of either end, would not be found.
          </span>
        )}
      </p>
      <FitChart curve={a.curve} zone={zone} />
      <div className="analysis-two">
        <table>
          <thead>
            <tr>
              <th>Constituent</th>
              <th>Amplitude, m</th>
              <th>Phase, °</th>
            </tr>
          </thead>
          <tbody>
            {largest.slice(0, 12).map((c) => (
              <tr key={c.name}>
                <th scope="row">
                  {c.name}
                  {c.inferred_from && <span className="quiet small"> from {c.inferred_from}</span>}
                </th>
                <td>
                  {fixed(c.amplitude_m, 3)} <span className="quiet">± {fixed(c.amplitude_error_m, 3)}</span>
                </td>
                <td>
                  {fixed(c.phase_deg, 1)} <span className="quiet">± {fixed(c.phase_error_deg, 1)}</span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <div>
          <h3>Left out</h3>
          <ul className="small quiet left-out">
            {a.excluded.slice(0, 10).map((e) => (
              <li key={e.name}>
                <b>{e.name}</b> {e.reason}
              </li>
            ))}
            {a.excluded.length > 10 && <li>and {a.excluded.length - 10} more</li>}
          </ul>
        </div>
      </div>
      <Keep a={a} of={of} file={file} />
    </div>
  );
}

/** Keeps the result as a station. The mean level needs the chart's datum, which a gauge's zero is not. */
function Keep({ a, of, file }: { a: Analysis; of: Of; file: string }) {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [id] = useState(() => v7());
  const [revision, setRevision] = useState(0);
  const [name, setName] = useState(file.replace(/\.csv$/i, ''));
  const [datum, setDatum] = useState(of === 'turns' ? '0' : '');
  const offset = Number(datum.replace(',', '.').replace('−', '-'));
  const ready = name.trim() !== '' && datum.trim() !== '' && Number.isFinite(offset);
  const keep = useMutation({
    mutationFn: () =>
      api.putStation(id, {
        name: name.trim(),
        source: `analysed from ${file}`.slice(0, 200),
        z0_m: a.z0_m - offset,
        revision,
        constituents: a.constituents.map((c) => ({
          name: c.name,
          amplitude_m: c.amplitude_m,
          phase_deg: c.phase_deg,
        })),
      }),
    onSuccess: (kept) => {
      setRevision(kept.revision);
      void invalidate('tide');
      void message.success('The station is kept. Choose above which water follows it.');
    },
  });
  return (
    <form
      className="keep"
      onSubmit={(e) => {
        e.preventDefault();
        if (ready) keep.mutate();
      }}
    >
      <label>
        <span>Name</span>
        <Input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
      </label>
      <label>
        <span>Chart datum above the {of === 'record' ? 'gauge’s' : 'table’s'} zero, m</span>
        <Input
          value={datum}
          inputMode="decimal"
          placeholder="as published for the gauge"
          onChange={(e) => setDatum(e.target.value)}
        />
      </label>
      <Button type="primary" htmlType="submit" disabled={!ready} loading={keep.isPending}>
        Keep as a station
      </Button>
      {keep.error && (
        <p role="alert" className="caution">
          {keep.error.message}
        </p>
      )}
    </form>
  );
}
