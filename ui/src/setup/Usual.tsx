import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Select } from 'antd';
import { useState } from 'react';
import { api, type UsualKind } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { useKinds } from '../conditions/kinds';
import type { Measure } from '../format/spoken';
import { NumberField } from '../format/NumberField';
import { Fault } from '../frame/Fault';
import { useLeaveGuard } from '../frame/unkept';
import { usePlace } from '../moment/moment';
import { Wide } from '../frame/Wide';
import { setup as say } from '../words/setup';
import { ChooseFile } from '../file/ChooseFile';

type Kind = UsualKind['kind'];

const kinds: { kind: Kind; measure: Measure; spread: number }[] = [
  // The spread a month begins with: of days about their mean (common practice, no source).
  { kind: 'water_temp_c', measure: 'temperature', spread: 2 },
  { kind: 'clarity_secchi_m', measure: 'depth', spread: 0.5 },
  { kind: 'wind_speed_ms', measure: 'wind', spread: 2.5 },
];

/** What is usual of a water, month by month: entered, or taken from what was read there. */
export function Usual() {
  const here = usePlace();
  const waters = useQuery({ queryKey: keys.waters, queryFn: api.waters });
  const [id, setId] = useState<string>();
  const chosen = id ?? waters.data?.find((w) => w.name === here.spot.water)?.id ?? waters.data?.[0]?.id;
  const q = useQuery({
    queryKey: ['usual-of-water', chosen],
    queryFn: () => api.usualOfWater(chosen!),
    enabled: !!chosen,
  });
  return (
    <section className="panel usual">
      <h2>{say.usualConditions}</h2>
      <p className="quiet">{say.usualConditionsAre}</p>
      <label className="usual-water">
        {say.usualOf}
        <Select
          aria-label={say.waterOfTheUsual}
          value={chosen}
          onChange={setId}
          options={(waters.data ?? []).map((w) => ({ value: w.id, label: w.name }))}
          popupMatchSelectWidth={false}
        />
      </label>
      {q.error && <p role="alert">{q.error.message}</p>}
      {q.data && chosen && (
        <Year
          key={chosen + JSON.stringify(q.data.kinds)}
          water={chosen}
          was={q.data.kinds}
          learned={q.data.learned}
        />
      )}
    </section>
  );
}

function Year({ water, was, learned }: { water: string; was: UsualKind[]; learned: UsualKind[] }) {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const names = useKinds();
  const [list, setList] = useState(was);
  const { letGo } = useLeaveGuard(list !== was);
  const put = useMutation({
    mutationFn: () => api.putUsualOfWater(water, list),
    onSuccess: async () => {
      letGo();
      // What is kept is read again, and the fields begin with it: then it is said.
      await invalidate('spots');
      void message.success(say.theUsualIsKept);
    },
  });
  const [file, setFile] = useState('');
  const read = useMutation({
    mutationFn: async (f: File) => api.readUsual(await f.text()),
    onSuccess: (r) => over(r.kinds),
  });
  // Other months go over what stands there; nothing is kept yet.
  const over = (others: UsualKind[]) =>
    setList(
      kinds.flatMap(({ kind }) => {
        const months = new Map(list.find((k) => k.kind === kind)?.months.map((m) => [m.month, m]));
        others.find((k) => k.kind === kind)?.months.forEach((m) => months.set(m.month, m));
        return months.size > 0
          ? [{ kind, months: [...months.values()].sort((a, b) => a.month - b.month) }]
          : [];
      }),
    );
  const of = (kind: Kind, month: number) =>
    list.find((k) => k.kind === kind)?.months.find((m) => m.month === month);
  const set = (kind: Kind, month: number, mean: number | undefined, spread: number) => {
    const months = (list.find((k) => k.kind === kind)?.months ?? []).filter((m) => m.month !== month);
    if (mean !== undefined) months.push({ month, mean, spread: of(kind, month)?.spread ?? spread });
    const rest = list.filter((k) => k.kind !== kind);
    setList(months.length > 0 ? [...rest, { kind, months: months.sort((a, b) => a.month - b.month) }] : rest);
  };
  return (
    <>
      <Wide label={say.usualConditions}>
        <table className="usual-year">
          <thead>
            <tr>
              <th scope="col">{say.monthOfTheYear}</th>
              {kinds.map((k) => (
                <th scope="col" key={k.kind}>
                  {names.of(k.kind)?.name ?? k.kind}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {Array.from({ length: 12 }, (_, i) => i + 1).map((month) => (
              <tr key={month}>
                <th scope="row">{say.monthNames[month - 1]}</th>
                {kinds.map((k) => (
                  <td key={k.kind}>
                    <NumberField
                      measure={k.measure}
                      value={of(k.kind, month)?.mean}
                      aria-label={say.usualIn(names.of(k.kind)?.name ?? k.kind, say.monthNames[month - 1]!)}
                      onChange={(v) => set(k.kind, month, v, k.spread)}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Wide>
      <Fault of={[put]} />
      <div className="map-acts">
        <Button type="primary" loading={put.isPending} disabled={list === was} onClick={() => put.mutate()}>
          {say.keepTheUsual}
        </Button>
        {learned.length > 0 && <Button onClick={() => over(learned)}>{say.takeWhatMyReadingsSay}</Button>}
      </div>
      <p className="usual-file">
        <ChooseFile
          says={say.bringATable}
          accept=".csv,text/csv"
          fault={read.error ? `${file}: ${read.error.message}` : undefined}
          onFile={(f) => {
            setFile(f.name);
            read.mutate(f);
          }}
        />{' '}
        <a className="file-out" href={`/api/v1/waters/${water}/usual.csv`} download="usual.csv">
          {say.takeTheTable}
        </a>
      </p>
      <p className="quiet small">{say.aTableHas}</p>
      {read.data && list !== was && <p role="status">{say.theTableIsIn(file)}</p>}
      {learned.length === 0 && <p className="quiet small">{say.readOnFiveDays}</p>}
    </>
  );
}
