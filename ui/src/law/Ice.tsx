import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api/client';
import { Fault } from '../frame/Fault';
import { NumberIn } from '../format/NumberField';
import { show } from '../format/spoken';
import { law as say } from '../words/law';

/** How much ice for so much fish, for so long, in such air. */
export function Ice() {
  const [b, setBody] = useState<{
    fish_kg?: number;
    hours?: number;
    air_temp_c?: number;
    water_temp_c?: number;
    oily: boolean;
  }>({
    fish_kg: 4,
    hours: 6,
    air_temp_c: 24,
    water_temp_c: 18,
    oily: false,
  });
  const set = (part: Record<string, number | boolean | undefined>) => setBody({ ...b, ...part });
  const { fish_kg, hours, air_temp_c, water_temp_c, oily } = b;
  const whole = !!fish_kg && hours !== undefined && air_temp_c !== undefined && water_temp_c !== undefined;
  const ice = useQuery({
    queryKey: ['ice', fish_kg, hours, air_temp_c, water_temp_c, oily],
    queryFn: ({ signal }) =>
      api.ice(
        {
          fish_kg: fish_kg!,
          hours: hours!,
          air_temp_c: air_temp_c!,
          water_temp_c: water_temp_c!,
          oily,
        },
        signal,
      ),
    enabled: whole,
    placeholderData: (before) => before,
    retry: false,
  });
  const i = ice.data;
  return (
    <section className="panel form">
      <h1>{say.ice}</h1>
      <div className="hand-fields">
        <NumberIn
          label={say.fishInAll}
          measure="fish"
          min={0}
          max={1000}
          value={fish_kg}
          onChange={(v) => set({ fish_kg: v })}
        />
        <NumberIn
          label={say.untilHome}
          unit="h"
          min={0}
          max={240}
          value={hours}
          onChange={(v) => set({ hours: v })}
        />
        <NumberIn
          label={say.theAir}
          measure="temperature"
          min={-30}
          max={60}
          value={air_temp_c}
          onChange={(v) => set({ air_temp_c: v })}
        />
        <NumberIn
          label={say.theWater}
          measure="temperature"
          min={-2}
          max={40}
          value={water_temp_c}
          onChange={(v) => set({ water_temp_c: v })}
        />
        <button className="toggle" aria-pressed={b.oily} onClick={() => set({ oily: !b.oily })}>
          {say.oily}
        </button>
      </div>
      <Fault of={[ice]} />
      {i && whole && (
        <>
          <p className="hand-result" role="status">
            {say.iceTakes(show('fish', i.ice_kg), Math.round(i.sea_water_l))}
          </p>
          <p>{say.iceWhy(show('fish', i.cool_kg), show('fish', i.water_kg), show('fish', i.leak_kg))}</p>
          <p className="quiet small">{say.iceKeeps(i.days_on_ice, i.freezer_months)}</p>
        </>
      )}
    </section>
  );
}
