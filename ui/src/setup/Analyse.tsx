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
import { ChooseFile } from '../file/ChooseFile';
import { FitChart } from './FitChart';
import { useColumns } from '../file/MapColumns';
import { tides as say } from '../words/tides';
import { allOf, sentences } from '../words/joined';

type Of = 'record' | 'turns';

const about: Record<Of, string> = {
  record: say.aCsvFileWhoseFirst,
  turns: say.aCsvFileWithThe,
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
      <h2>{say.aStationFromWhatWas}</h2>
      <Segmented<Of>
        aria-label={say.whatTheFileHolds}
        value={of}
        onChange={(v) => {
          setOf(v);
          run.reset();
        }}
        options={[
          { value: 'record', label: say.gaugeRecord },
          { value: 'turns', label: say.tableOfHighAndLow },
        ]}
      />
      <p className="quiet about">{say.timesWithoutAnOffsetAre(about[of], props.water)}</p>
      <ChooseFile
        says={of === 'record' ? say.chooseARecord : say.chooseATable}
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
            aria-label={say.analysing}
          />
          <span className="quiet small">
            {place > 0 ? say.othersGoFirstBefore(place, file) : say.analysing2(file)}
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
        {say.fromToConstituentsMeanLevel(
          <b>{a.samples}</b>,
          of === 'record' ? say.readings : say.highAndLowWaters,
          day(a.from, zone),
          day(a.to, zone),
          <b>{a.constituents.length}</b>,
          <b>{show('depth', a.z0_m, 3)}</b>,
          of === 'record' ? say.gauges : say.tables,
          <b>{show('depth', a.residual_rms_m, 3)}</b>,
          sentences(
            a.duplicates > 0 && say.duplicatesMerged(a.duplicates),
            a.spikes > 0 && say.spikesGivenNoWeight(a.spikes),
            ...a.shifts.map((s) => say.theGaugesZeroMovedBy(show('depth', s.by_m), day(s.time, zone))),
          ),
          of === 'record' && a.least_shift_m > 0 && (
            <span className="quiet"> {say.aLastingMoveOfThe(show('depth', a.least_shift_m))}</span>
          ),
        )}
      </p>
      <FitChart curve={a.curve} zone={zone} />
      <div className="analysis-two">
        <table>
          <thead>
            <tr>
              <th>{say.constituent}</th>
              <th>{say.amplitudeM}</th>
              <th>{say.phase}</th>
            </tr>
          </thead>
          <tbody>
            {largest.slice(0, 12).map((c) => (
              <tr key={c.name}>
                <th scope="row">
                  {c.name}
                  {c.inferred_from && ' '}
                  {c.inferred_from && <span className="quiet small">{say.from(c.inferred_from)}</span>}
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
          <h3>{say.leftOut}</h3>
          <ul className="small quiet left-out">
            {a.excluded.slice(0, 10).map((e) => (
              <li key={e.name}>
                <b>{e.name}</b> {e.reason}
              </li>
            ))}
            {a.excluded.length > 10 && <li>{say.andMore(a.excluded.length - 10)}</li>}
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
        source: say.analysedFrom(file).slice(0, 200),
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
      else void message.success(say.theStationIsKeptChoose);
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
        <span>{say.name}</span>
        <Input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
      </label>
      <label>
        <span>{say.chartDatumAboveTheZero(of === 'record' ? say.gauges : say.tables)}</span>
        <NumberField measure="depth" value={offset} placeholder={say.asPublished} onChange={setOffset} />
      </label>
      <Fault of={[keep]} />
      <Button type="primary" htmlType="submit" disabled={!ready} loading={keep.isPending}>
        {say.keepAsAStation}
      </Button>
      {!ready && <p className="quiet small">{say.stillWanted(allOf(missing))}</p>}
    </form>
  );
}
