import { NumberField } from '../format/NumberField';
import { Button, Select } from 'antd';
import { memo } from 'react';
import type { ChartSpot, LatLon, Means, Schemas } from '../api/client';
import { Toggle } from './Toggle';
import { water as say } from '../words/water';

export type Reach = Schemas['ReachOut'];

/** Which spots are picked out. */
export interface Pick {
  kind: string;
  open: boolean;
  sheltered: boolean;
  /** Minutes on the way at most, from the start. */
  within: number;
  start?: LatLon;
  /** What one has to get about with; left out: as each spot is usually reached. */
  by?: Means;
}

export const unpicked: Pick = { kind: '', open: false, sheltered: false, within: 45 };

/** What one may have to get about with. */
export const means: { value: Means | ''; label: string }[] = [
  { value: '', label: say.asEachIsReached },
  { value: 'legs', label: say.onMyLegs },
  { value: 'kayak', label: say.byKayak },
  { value: 'boat', label: say.byBoat },
  { value: 'car', label: say.byCar },
];

const key = 'greypebble.means';

/** What one got about with last, on this device. */
export const meansLast = () =>
  means.find((m) => m.value && m.value === localStorage.getItem(key))?.value as Means | undefined;
export const rememberMeans = (by?: Means) => localStorage.setItem(key, by ?? '');

export function picked(spots: ChartSpot[], p: Pick, reaches?: Map<string, Reach>): ChartSpot[] {
  return spots.filter((s) => {
    const way = reaches?.get(s.id)?.minutes;
    return (
      (!p.kind || s.place === p.kind) &&
      (!p.open || s.open) &&
      (!p.sheltered || s.surface.sheltered) &&
      (!reaches || (way !== undefined && way <= p.within))
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
        aria-label={say.kindOfPlace}
        value={pick.kind}
        onChange={(kind) => onPick({ ...pick, kind })}
        options={[{ value: '', label: say.everyKind }, ...kinds.map((k) => ({ value: k, label: k }))]}
        popupMatchSelectWidth={false}
      />
      <Toggle on={pick.open} onChange={(open) => onPick({ ...pick, open })}>
        {say.openNow}
      </Toggle>
      <Toggle on={pick.sheltered} onChange={(sheltered) => onPick({ ...pick, sheltered })}>
        {say.sheltered}
      </Toggle>
      {!pick.start && <Button onClick={onStart}>{say.withinReach}</Button>}
      {pick.start && (
        <span className="reach-field">
          <NumberField
            aria-label={say.minutesOnTheWay}
            unit="min"
            min={5}
            max={600}
            step={5}
            value={pick.within}
            onChange={(within) => onPick({ ...pick, within: within ?? unpicked.within })}
          />{' '}
          <Select
            aria-label={say.howYouGetAbout}
            value={pick.by ?? ''}
            onChange={(by) => onPick({ ...pick, by: (by || undefined) as Pick['by'] })}
            options={means}
            popupMatchSelectWidth={false}
          />{' '}
          {say.from}{' '}
          <button className="plain" onClick={onStart}>
            {say.here}
          </button>
          <Button
            type="text"
            aria-label={say.forgetWhereISetOut}
            onClick={() => onPick({ ...pick, start: undefined })}
          >
            ×
          </Button>
        </span>
      )}
    </div>
  );
});
