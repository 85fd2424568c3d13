import { NumberField } from '../format/NumberField';
import { Button, Select } from 'antd';
import { memo } from 'react';
import type { ChartSpot, LatLon, Schemas } from '../api/client';
import { Toggle } from './Toggle';

export type Reach = Schemas['ReachOut'];

/** Which spots are picked out. */
export interface Pick {
  kind: string;
  open: boolean;
  sheltered: boolean;
  /** Minutes on the way at most, from the start. */
  within?: number;
  start?: LatLon;
}

export const unpicked: Pick = { kind: '', open: false, sheltered: false };

export function picked(spots: ChartSpot[], p: Pick, reaches?: Map<string, Reach>): ChartSpot[] {
  return spots.filter((s) => {
    const way = reaches?.get(s.id)?.minutes;
    return (
      (!p.kind || s.place === p.kind) &&
      (!p.open || s.open) &&
      (!p.sheltered || s.surface.sheltered) &&
      (!reaches || p.within === undefined || (way !== undefined && way <= p.within))
    );
  });
}

export const SpotFilter = memo(function SpotFilter(props: {
  pick: Pick;
  onPick: (p: Pick) => void;
  kinds: string[];
  onStart: () => void;
}) {
  const { pick, onPick, kinds, onStart } = props;
  return (
    <div className="spot-filter">
      <Select
        aria-label="Kind of place"
        value={pick.kind}
        onChange={(kind) => onPick({ ...pick, kind })}
        options={[{ value: '', label: 'every kind' }, ...kinds.map((k) => ({ value: k, label: k }))]}
        popupMatchSelectWidth={false}
      />
      <Toggle on={pick.open} onChange={(open) => onPick({ ...pick, open })}>
        open now
      </Toggle>
      <Toggle on={pick.sheltered} onChange={(sheltered) => onPick({ ...pick, sheltered })}>
        sheltered
      </Toggle>
      {!pick.start && <Button onClick={onStart}>within reach…</Button>}
      {pick.start && (
        <span className="reach-field">
          <NumberField
            aria-label="Minutes on the way"
            unit="min"
            min={5}
            max={600}
            step={5}
            value={pick.within ?? 45}
            onChange={(within) => onPick({ ...pick, within })}
          />{' '}
          from{' '}
          <button className="plain" onClick={onStart}>
            here
          </button>
          <Button
            type="text"
            aria-label="Forget where I set out"
            onClick={() => onPick({ ...pick, start: undefined, within: undefined })}
          >
            ×
          </Button>
        </span>
      )}
    </div>
  );
});
