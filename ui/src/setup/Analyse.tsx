import { Fault } from '../frame/Fault';
import { number, show } from '../format/spoken';
import { useMutation } from '@tanstack/react-query';
import { App, Button, Input, Progress, Segmented } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { analyse } from '../api/analyse';
import { api, type Analysis, type Station } from '../api/client';
import { useInvalidate } from '../api/keys';
import { fixed } from '../format/measure';
import { day } from '../format/time';
import { usePlace } from '../moment/moment';
import { NumberField } from '../format/NumberField';
import { ChooseFile } from './ChooseFile';
import { FitChart } from './FitChart';
import { useColumns } from './MapColumns';

type Of = 'record' | 'turns';

const about: Record<Of, string> = {
  record:
    'A CSV file whose first line names the columns time and height_m (or height_cm, height_ft), fifteen days or more. Other names and units are asked about.',
  turns:
    'A CSV file with the columns time, height_m (or height_cm, height_ft) and kind (high or low), fifteen days or more; a year gives a good station.',
};

/** Constituents from a tide gauge's own record, or from a printed table of high and low waters. */
export function Analyse() {
  const here = usePlace();
  return <FromRecord zone={here.spot.time_zone} water={here.spot.water} />;
}

/** The same, wherever the water lies; it may not be there yet. */
export function FromRecord(props: { zone: string; water: string; onKept?: (station: Station) => void }) {
  const { zone, onKept } = props;
  const [of, setOf] = useState<Of>('record');
  const [file, setFile] = useState('');
  const [share, setShare] = useState(0);
  const [place, setPlace] = useState(0);
  const run = useMutation({
    mutationFn: async (text: string) => {
      setShare(0);
      setPlace(0);
      return analyse(
        text,
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
  const columns = useColumns(of, (text, name) => {
    setFile(name);
    run.mutate(text);
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
        {about[of]} Times without an offset are read as those of {props.water}.
      </p>
      <ChooseFile
        says={of === 'record' ? 'Choose a record' : 'Choose a table'}
        accept=".csv,text/csv"
        fault={run.error ? `${file}: ${run.error.message}` : undefined}
        onFile={(f) => void columns.take(f)}
      />
      {columns.form}
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
      {a && !run.isPending && (
        <Result key={file + a.from} a={a} of={of} file={file} zone={zone} onKept={onKept} />
      )}
    </section>
  );
}

function Result(props: {
  a: Analysis;
  of: Of;
  file: string;
  zone: string;
  onKept?: ((s: Station) => void) | undefined;
}) {
  const { a, of, file, zone, onKept } = props;
  const largest = [...a.constituents].sort((p, q) => q.amplitude_m - p.amplitude_m);
  return (
    <div className="analysis">
      <p>
        <b>{a.samples}</b> {of === 'record' ? 'readings' : 'high and low waters'} from {day(a.from, zone)} to{' '}
        {day(a.to, zone)}: <b>{a.constituents.length}</b> constituents, mean level{' '}
        <b>{show('depth', a.z0_m, 3)}</b> above the {of === 'record' ? 'gauge’s' : 'table’s'} zero, residual{' '}
        <b>{show('depth', a.residual_rms_m, 3)}</b>.
        {a.duplicates > 0 && ` ${a.duplicates} duplicates merged.`}
        {a.spikes > 0 && ` ${a.spikes} spikes given no weight.`}
        {a.shifts.map(
          (s) => ` The gauge’s zero moved by ${show('depth', s.by_m)} on ${day(s.time, zone)}; allowed for.`,
        )}
        {of === 'record' && a.least_shift_m > 0 && (
          <span className="quiet">
            {' '}
            A lasting move of the zero is looked for, three at most; one of less than{' '}
            {show('depth', a.least_shift_m)}, or within three days of either end, would not be found.
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
                  {number('depth', c.amplitude_m, 3)}{' '}
                  <span className="quiet">± {number('depth', c.amplitude_error_m, 3)}</span>
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
      <Keep a={a} of={of} file={file} onKept={onKept} />
    </div>
  );
}

/** Keeps the result as a station. The mean level needs the chart's datum, which a gauge's zero is not. */
function Keep(props: { a: Analysis; of: Of; file: string; onKept?: ((s: Station) => void) | undefined }) {
  const { a, of, file, onKept } = props;
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [id] = useState(() => v7());
  const [revision, setRevision] = useState(0);
  const [name, setName] = useState(file.replace(/\.csv$/i, ''));
  const [offset, setOffset] = useState(of === 'turns' ? 0 : undefined);
  const missing = [
    ...(name.trim() === '' ? ['a name'] : []),
    ...(offset === undefined ? ['where chart datum lies; put 0 where the heights count from it'] : []),
  ];
  const ready = missing.length === 0;
  const keep = useMutation({
    mutationFn: () =>
      api.putStation(id, {
        name: name.trim(),
        source: `analysed from ${file}`.slice(0, 200),
        z0_m: a.z0_m - offset!,
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
      if (onKept) onKept(kept);
      else void message.success('The station is kept. Choose in Tide stations which water follows it.');
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
        <span>Chart datum above the {of === 'record' ? 'gauge’s' : 'table’s'} zero</span>
        <NumberField measure="depth" value={offset} placeholder="as published" onChange={setOffset} />
      </label>
      <Fault of={[keep]} />
      <Button type="primary" htmlType="submit" disabled={!ready} loading={keep.isPending}>
        Keep as a station
      </Button>
      {!ready && <p className="quiet small">Still wanted: {missing.join(', and ')}.</p>}
    </form>
  );
}
