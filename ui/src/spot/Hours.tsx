import { Button, Input, Select } from 'antd';
import type { SpotBody } from '../api/client';
import { spot as say } from '../words/spot';

type Hours = NonNullable<SpotBody['hours']>[number];

const everyDay: Hours['days'] = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

const asText = (md?: number) =>
  md ? `${String(Math.floor(md / 100)).padStart(2, '0')}-${String(md % 100).padStart(2, '0')}` : '';

/** Hours of a gate, a pier, a park or a lock: on which days, in which season, from when to when. */
export function HoursEditor({ hours, onChange }: { hours: Hours[]; onChange: (h: Hours[]) => void }) {
  const set = (i: number, part: Partial<Hours>) =>
    onChange(hours.map((h, k) => (k === i ? { ...h, ...part } : h)));
  const season = (i: number, key: 'from_md' | 'to_md', text: string) => {
    const [m, d] = text.split('-').map(Number);
    set(i, { [key]: m && d ? m * 100 + d : undefined });
  };
  return (
    <fieldset className="hours">
      <legend>{say.hoursOfAGate}</legend>
      {hours.map((h, i) => (
        <div className="form-row" key={i}>
          <label className="hours-days">
            {say.onDays}
            <Select
              mode="multiple"
              aria-label={say.daysOfHours(i + 1)}
              value={h.days}
              onChange={(days: Hours['days']) => set(i, { days })}
              options={everyDay.map((d) => ({ value: d, label: say.weekdays[d] }))}
            />
          </label>
          <label>
            {say.opensAt}
            <Input
              type="time"
              aria-label={say.opensOfHours(i + 1)}
              value={h.opens}
              onChange={(e) => set(i, { opens: e.target.value })}
            />
          </label>
          <label>
            {say.closesAt}
            <Input
              type="time"
              aria-label={say.closesOfHours(i + 1)}
              value={h.closes}
              onChange={(e) => set(i, { closes: e.target.value })}
            />
          </label>
          <label>
            {say.seasonFrom}
            <Input
              placeholder={say.monthDay}
              defaultValue={asText(h.from_md)}
              onBlur={(e) => season(i, 'from_md', e.target.value)}
            />
          </label>
          <label>
            {say.seasonTo}
            <Input
              placeholder={say.monthDay}
              defaultValue={asText(h.to_md)}
              onBlur={(e) => season(i, 'to_md', e.target.value)}
            />
          </label>
          <Button
            aria-label={say.takeHoursAway(i + 1)}
            onClick={() => onChange(hours.filter((_, k) => k !== i))}
          >
            {say.takeAway2}
          </Button>
        </div>
      ))}
      <p className="quiet small">{hours.length === 0 ? say.itNeverShuts : say.onOtherDaysItIsShut}</p>
      <Button onClick={() => onChange([...hours, { days: everyDay, opens: '06:00', closes: '20:00' }])}>
        {hours.length === 0 ? say.itHasHours : say.moreHours}
      </Button>
    </fieldset>
  );
}
