import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { api, type ImportQuery } from '../api/client';
import { useMoment } from '../moment/moment';
import { ChooseFile } from './ChooseFile';
import { TakeAlong } from './TakeAlong';

type Format = ImportQuery['format'];
type As = NonNullable<ImportQuery['as']>;

const formats: Record<string, Format> = {
  gpx: 'gpx',
  geojson: 'geojson',
  json: 'geojson',
  kml: 'kml',
  csv: 'csv',
};

const uses: { value: As; label: string }[] = [
  { value: 'spots', label: 'spots' },
  { value: 'outline', label: 'the shores' },
  { value: 'zones', label: 'zones with a rule' },
];

/** Places in and out: spots, drifts, shores and zones and their files. */
export function Places() {
  const m = useMoment();
  const queries = useQueryClient();
  const { message } = App.useApp();
  const [file, setFile] = useState<{ name: string; format: Format; text: string }>();
  const [refused, setRefused] = useState('');
  const [as, setAs] = useState<As>('spots');
  const [place, setPlace] = useState('estuary');
  const [rule, setRule] = useState({
    zone_kind: 'no take' as NonNullable<ImportQuery['zone_kind']>,
    says: '',
    source: '',
    checked_on: new Date().toISOString().slice(0, 10),
  });
  const words = useQuery({ queryKey: ['words'], queryFn: api.words, staleTime: Infinity });
  const read = useMutation({
    mutationFn: (f: { format: Format; text: string }) => api.readFeatures(f.format, f.text),
  });
  const take = useMutation({
    mutationFn: () =>
      api.importFeatures(
        {
          format: file!.format,
          as,
          water_id: m.spot.water_id,
          place,
          ...(as === 'zones' ? rule : {}),
        },
        file!.text,
      ),
    onSuccess: (r) => {
      const n = as === 'outline' ? `${r.rings} rings of shore` : `${r.added.length} ${as}`;
      void message.success(`${n} brought into ${m.spot.water}; ${r.skipped.length} passed over.`);
      setFile(undefined);
      read.reset();
      void queries.invalidateQueries();
    },
  });
  const list = read.data;
  return (
    <section className="panel places">
      <h2>Places in and out</h2>
      <p className="quiet">
        GPX, GeoJSON, KML or CSV (name, lat, lon), in degrees of WGS 84. Points become spots, tracks and areas
        spots with a shape; areas may also become the shores of {m.spot.water}, or zones.
      </p>
      <ChooseFile
        says="Choose a file of places"
        accept=".gpx,.geojson,.json,.kml,.csv"
        onFile={(f) => {
          take.reset();
          setRefused('');
          const format = formats[f.name.toLowerCase().split('.').pop() ?? ''];
          if (!format) {
            setRefused(`${f.name}: expected a file ending in .gpx, .geojson, .json, .kml or .csv.`);
            return;
          }
          void f.text().then((text) => {
            setFile({ name: f.name, format, text });
            read.mutate({ format, text });
          });
        }}
      />
      {(refused || read.error) && (
        <p role="alert" className="caution">
          {refused || `${file?.name}: ${read.error?.message}`}
        </p>
      )}
      {list && file && (
        <div className="places-read">
          <p>
            <b>{file.name}</b> holds {list.features.length} places. Nothing is stored yet.
          </p>
          <ul className="places-list">
            {list.features.slice(0, 60).map((f, i) => (
              <li key={i}>
                <b>{f.name || '(no name)'}</b>{' '}
                <span className="quiet small">
                  {f.kind}
                  {f.places > 1 && ` of ${f.places} points`}
                  {f.description && `, ${f.description}`}
                </span>
                {as === 'spots' && f.known && <span className="small"> · there already: passed over</span>}
                {as === 'spots' && !f.name && <span className="small"> · without a name: passed over</span>}
                {as !== 'spots' && f.kind !== 'area' && (
                  <span className="small"> · no area: passed over</span>
                )}
              </li>
            ))}
            {list.features.length > 60 && <li className="quiet">and {list.features.length - 60} more</li>}
            {list.skipped.map((s, i) => (
              <li key={`s${i}`} className="quiet">
                {s.what}: {s.why}
              </li>
            ))}
          </ul>
          <div className="keep">
            <label>
              Take them as
              <Segmented<As> aria-label="Take them as" value={as} onChange={setAs} options={uses} />
            </label>
            {as === 'spots' && (
              <label>
                Kind of place
                <Select
                  aria-label="Kind of place"
                  value={place}
                  onChange={setPlace}
                  options={(words.data?.places ?? []).map((p) => ({ value: p, label: p }))}
                />
              </label>
            )}
            {as === 'zones' && (
              <>
                <label>
                  What it asks
                  <Select
                    aria-label="What it asks"
                    value={rule.zone_kind}
                    onChange={(zone_kind) => setRule({ ...rule, zone_kind })}
                    options={['no take', 'seasonal', 'voluntary code'].map((k) => ({ value: k, label: k }))}
                  />
                </label>
                <label>
                  The rule in words
                  <Input value={rule.says} onChange={(e) => setRule({ ...rule, says: e.target.value })} />
                </label>
                <label>
                  Where it stands
                  <Input value={rule.source} onChange={(e) => setRule({ ...rule, source: e.target.value })} />
                </label>
                <label>
                  Looked up on
                  <Input
                    type="date"
                    value={rule.checked_on}
                    onChange={(e) => setRule({ ...rule, checked_on: e.target.value })}
                  />
                </label>
              </>
            )}
            <Button type="primary" loading={take.isPending} onClick={() => take.mutate()}>
              Bring them in
            </Button>
          </div>
          {take.error && (
            <p role="alert" className="caution">
              {take.error.message} Nothing was stored.
            </p>
          )}
        </div>
      )}
      <TakeAlong />
    </section>
  );
}
