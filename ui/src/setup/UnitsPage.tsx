import { Fault } from '../frame/Fault';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Segmented, Select } from 'antd';
import { api } from '../api/client';
import { systemOf, type Settings } from '../format/spoken';
import units from '../format/units.json';
import { useSession } from '../signin/session';
import { lights, useLight } from '../theme/light';
import { setup as say } from '../words/setup';

const systems = { metric: 'Metric', us: 'US' } as const;
const weeks: { value: Settings['week']; label: string }[] = [
  { value: 'monday', label: say.monday },
  { value: 'sunday', label: say.sunday },
  { value: 'saturday', label: say.saturday },
];

/** How measures and hours are written for this person, and how bright the screen is. */
export function UnitsPage() {
  const { settings } = useSession();
  const { light, setLight } = useLight();
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: (s: Settings) => api.putSettings({ ...s, chosen: true }),
    // Whatever the server said was said in the units of before.
    onSuccess: () => queries.invalidateQueries(),
  });
  const set = (part: Partial<Settings['units']>) =>
    save.mutate({ ...settings, units: { ...settings.units, ...part } });
  const system = (Object.keys(systems) as (keyof typeof systems)[]).find((s) => {
    const { clock: _, ...all } = systemOf(s);
    return Object.entries(all).every(([k, v]) => settings.units[k as 'depth'] === v);
  });
  return (
    <>
      <section className="panel">
        <h2>{say.units}</h2>
        <p className="quiet">{say.forEverythingThatIsShown}</p>
        <div className="form-row">
          <label>
            {say.allAtOnce}
            <Segmented
              aria-label={say.allAtOnce}
              value={system ?? 'own'}
              options={[
                ...Object.entries(systems).map(([value, label]) => ({ value, label })),
                ...(system ? [] : [{ value: 'own', label: say.myOwn, disabled: true }]),
              ]}
              onChange={(s) => s !== 'own' && set({ ...systemOf(s as 'us'), clock: settings.units.clock })}
            />
          </label>
        </div>
        <div className="units-each">
          {Object.entries(units.measures)
            .sort(([a], [b]) => order.indexOf(a) - order.indexOf(b))
            .map(([id, m]) => (
              <label key={id}>
                {m.name[0]!.toUpperCase() + m.name.slice(1)}
                <Select
                  aria-label={m.name}
                  value={settings.units[id as 'depth'] as string}
                  options={m.choices.map((c) => ({ value: c.unit, label: c.unit }))}
                  onChange={(v) => set({ [id]: v })}
                />
              </label>
            ))}
        </div>
        <p className="quiet small">{say.hooksAndLinesKeepThe}</p>
        <Fault of={[save]} />
      </section>
      <section className="panel">
        <h2>{say.hoursAndWeeks}</h2>
        <div className="units-each">
          <label>
            {say.hours}
            <Segmented
              aria-label={say.hours}
              value={settings.units.clock as string}
              options={[
                { value: '24 h', label: '18:40' },
                { value: '12 h', label: say.n640Pm },
              ]}
              onChange={(clock) => set({ clock: clock as '12 h' })}
            />
          </label>
          <label>
            {say.aWeekBeginsOn}
            <Select
              aria-label={say.aWeekBeginsOn}
              value={settings.week}
              options={weeks}
              onChange={(week) => save.mutate({ ...settings, week })}
            />
          </label>
        </div>
      </section>
      <section className="panel">
        <h2>{say.lightOfTheScreen}</h2>
        <Segmented aria-label={say.light} value={light} onChange={setLight} options={lights} />
        <p className="quiet small">{say.keptOnThisDevice}</p>
      </section>
    </>
  );
}

const order = [
  'depth',
  'distance',
  'tackle',
  'weight',
  'fish',
  'line',
  'temperature',
  'pressure',
  'wind',
  'boat',
  'run',
];
