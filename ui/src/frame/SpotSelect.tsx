import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { memo, useState } from 'react';
import { api, type Spot } from '../api/client';
import { keys } from '../api/keys';
import { times } from '../format/measure';
import { frame as say } from '../words/frame';

/** The chosen spot, typed or picked; what is open and how good stands beside each. */
export const SpotSelect = memo(function SpotSelect(props: {
  spots: Spot[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const { spots, chosen, onChoose } = props;
  const [open, setOpen] = useState(false);
  const outlook = useQuery({
    queryKey: keys.outlook,
    queryFn: api.outlook,
    enabled: open,
    staleTime: 60_000,
  });
  const by = new Map(outlook.data?.spots.map((o) => [o.spot_id, o]));
  return (
    <Select
      className="head-spot"
      aria-label={say.spot}
      value={chosen}
      showSearch={{ optionFilterProp: 'label' }}
      onOpenChange={setOpen}
      onChange={(id) => {
        onChoose(id);
        // So that the keys move the ribbon again.
        (document.activeElement as HTMLElement | null)?.blur();
      }}
      variant="borderless"
      popupMatchSelectWidth={false}
      options={spots.map((s) => ({ value: s.id, label: s.name, title: s.place }))}
      optionRender={(o) => {
        const now = by.get(String(o.value));
        return (
          <span className="head-option">
            {o.label}
            {now && (
              <span className="quiet small">
                {now.edge !== undefined
                  ? `${times(now.edge)} ${now.target_name}`
                  : now.open
                    ? say.tooLittleWater
                    : say.shutNow}
              </span>
            )}
          </span>
        );
      }}
    />
  );
});
