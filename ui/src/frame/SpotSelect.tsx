import { Select } from 'antd';
import { memo } from 'react';
import type { Spot } from '../api/client';

/** The chosen spot; it stays as it is while only the moment moves. */
export const SpotSelect = memo(function SpotSelect(props: {
  spots: Spot[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const { spots, chosen, onChoose } = props;
  return (
    <Select
      className="head-spot"
      aria-label="Spot"
      value={chosen}
      onChange={(id) => {
        onChoose(id);
        // So that the keys move the ribbon again.
        (document.activeElement as HTMLElement | null)?.blur();
      }}
      variant="borderless"
      popupMatchSelectWidth={false}
      options={spots.map((s) => ({ value: s.id, label: s.name, title: s.place }))}
    />
  );
});
