import { Fault } from '../frame/Fault';
import { useColumns } from '../file/MapColumns';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { api, type ImportPlan, type ImportQuery } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { usePlace } from '../moment/moment';
import { ChooseFile } from '../file/ChooseFile';
import { TakeAlong } from './TakeAlong';
import { places as say } from '../words/places';

type Format = ImportQuery['format'];
type As = NonNullable<ImportQuery['as']>;

const uses: { value: As; label: string }[] = [
  { value: 'spots', label: say.spots },
  { value: 'outline', label: say.theShores },
  { value: 'zones', label: say.zonesWithARule },
];

/** Places in and out: spots, drifts, shores and zones and their files. */
export function Places() {
  const here = usePlace();
  const invalidate = useInvalidate();
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
  const formats = useQuery({ queryKey: keys.formats, queryFn: api.formats, staleTime: Infinity });
  const known = formats.data?.places ?? [];
  const words = useQuery({ queryKey: keys.words, queryFn: api.words, staleTime: Infinity });
  const options = (preview: boolean): ImportQuery => ({
    format: file!.format,
    as,
    water_id: here.spot.water_id,
    place,
    preview,
    ...(as === 'zones' ? rule : {}),
  });
  const read = useQuery({
    queryKey: ['imported', file?.format, file?.text],
    queryFn: () => api.readFeatures(file!.format, file!.text),
    enabled: !!file,
    retry: false,
  });
  // The plan of the import itself: what would be added and what passed over.
  const planned = useQuery({
    queryKey: ['imported', file?.format, file?.text, 'plan', as, place, here.spot.water_id, rule],
    queryFn: () => api.importFeatures(options(true), file!.text),
    enabled: !!file && (as !== 'zones' || !!(rule.says && rule.source)),
    retry: false,
  });
  const take = useMutation({
    mutationFn: () => api.importFeatures(options(false), file!.text),
    onSuccess: (r) => {
      const n = as === 'outline' ? say.ringsOfShore(r.rings) : `${r.added.length} ${as}`;
      void message.success(say.broughtIntoPassedOver(n, here.spot.water, r.skipped.length));
      setFile(undefined);
      void invalidate('water');
    },
  });
  const list = read.data;
  const columns = useColumns('places', (text, name) => setFile({ name, format: 'csv' as Format, text }));
  return (
    <section className="panel places">
      <h2>{say.placesInAndOut}</h2>
      <p className="quiet">{say.aTableNameLatLon(known.map((k) => k.name).join(', '), here.spot.water)}</p>
      <ChooseFile
        says={say.chooseAFileOfPlaces}
        accept={known.flatMap((k) => k.extensions).join(',')}
        fault={refused || (read.error ? `${file?.name}: ${read.error.message}` : undefined)}
        onFile={(f) => {
          take.reset();
          setRefused('');
          const format = known.find((k) => k.extensions.some((x) => f.name.toLowerCase().endsWith(x)))?.id as
            Format | undefined;
          if (!format) {
            const ends = known.flatMap((k) => k.extensions).join(', ');
            setRefused(say.expectedAFileEndingIn(f.name, ends));
            return;
          }
          if (format === 'csv') void columns.take(f);
          else
            void f.text().then((text) => {
              setFile({ name: f.name, format, text });
            });
        }}
      />
      {columns.form}
      {list && file && (
        <div className="places-read">
          <p>{say.holdsPlacesNothingIsStored(<b>{file.name}</b>, list.features.length)}</p>
          <ul className="places-list">
            {list.features.slice(0, 60).map((f, i) => (
              <li key={i}>
                <b>{f.name || say.noName}</b>{' '}
                <span className="quiet small">
                  {say.kindOfPoints(f.kind, f.places)}
                  {f.description && `, ${f.description}`}
                </span>
              </li>
            ))}
            {list.features.length > 60 && <li className="quiet">{say.andMore(list.features.length - 60)}</li>}
          </ul>
          {planned.data && <Planned plan={planned.data} as={as} />}
          <Fault of={[planned]} />
          <div className="keep">
            <label>
              {say.takeThemAs}
              <Segmented<As> aria-label={say.takeThemAs} value={as} onChange={setAs} options={uses} />
            </label>
            {as === 'spots' && (
              <label>
                {say.kindOfPlace}
                <Select
                  aria-label={say.kindOfPlace}
                  value={place}
                  onChange={setPlace}
                  options={(words.data?.places ?? []).map((p) => ({ value: p, label: p }))}
                />
              </label>
            )}
            {as === 'zones' && (
              <>
                <label>
                  {say.whatItAsks}
                  <Select
                    aria-label={say.whatItAsks}
                    value={rule.zone_kind}
                    onChange={(zone_kind) => setRule({ ...rule, zone_kind })}
                    options={['no take', 'seasonal', 'voluntary code'].map((k) => ({ value: k, label: k }))}
                  />
                </label>
                <label>
                  {say.theRuleInWords}
                  <Input value={rule.says} onChange={(e) => setRule({ ...rule, says: e.target.value })} />
                </label>
                <label>
                  {say.whereItStands}
                  <Input value={rule.source} onChange={(e) => setRule({ ...rule, source: e.target.value })} />
                </label>
                <label>
                  {say.lookedUpOn}
                  <Input
                    type="date"
                    value={rule.checked_on}
                    onChange={(e) => setRule({ ...rule, checked_on: e.target.value })}
                  />
                </label>
              </>
            )}
            {take.error && (
              <p role="alert" className="caution">
                {say.nothingWasStored2(take.error.message)}
              </p>
            )}
            <Button type="primary" loading={take.isPending} onClick={() => take.mutate()}>
              {say.bringThemIn}
            </Button>
          </div>
        </div>
      )}
      <TakeAlong />
    </section>
  );
}

/** How many of what is passed over are listed. */
const listed = 30;

/** What the import would do: the import itself follows the same plan. */
function Planned({ plan, as }: { plan: ImportPlan; as: As }) {
  return (
    <div className="places-plan">
      <p>
        {say.wouldBeAdded(
          as === 'outline' ? say.ringsOfShore(plan.rings) : `${plan.added.length} ${as}`,
          plan.skipped.length,
        )}
      </p>
      <ul className="quiet small">
        {plan.skipped.slice(0, listed).map((s, i) => (
          <li key={i}>
            {s.what}: {s.why}
          </li>
        ))}
        {plan.skipped.length > listed && <li>{say.andMore(plan.skipped.length - listed)}</li>}
      </ul>
    </div>
  );
}
