import { Select } from 'antd';
import type { Target } from '../api/client';
import { Toggle } from '../water/Toggle';
import type { Asking } from './asking';
import { tie as say } from '../words/tie';

/** How many targets of the place stand as buttons; the rest are in the list. */
const shown = 6;

/** What is sought: the fish of this kind of place first, all others in a list. */
export function Targets(props: {
  all: Target[];
  place: string;
  /** Ids of the targets of this spot, best of the day first, once that is known. */
  ranked?: string[];
  asking: Asking;
  onChange: (part: Partial<Asking>) => void;
}) {
  const { all, place, ranked, asking, onChange } = props;
  // Those of this coast that gain most at this place today come first.
  const here = ranked
    ? ranked.flatMap((id) => all.find((t) => t.id === id) ?? [])
    : all.filter((t) => t.known && t.lives.includes(place));
  const buttons = [
    ...here.slice(0, shown),
    ...all.filter((t) => asking.targets.includes(t.id) && !here.slice(0, shown).includes(t)),
  ];
  const rest = all.filter((t) => !buttons.includes(t));
  const take = (id: string) => {
    if (!asking.several) return onChange({ targets: [id] });
    const has = asking.targets.includes(id);
    if (has && asking.targets.length === 1) return;
    onChange({ targets: has ? asking.targets.filter((t) => t !== id) : [...asking.targets, id] });
  };
  return (
    <div className="targets" role="group" aria-label={say.target}>
      {buttons.map((t) => (
        <Toggle key={t.id} on={asking.targets.includes(t.id)} onChange={() => take(t.id)}>
          {t.name}
        </Toggle>
      ))}
      <Select
        aria-label={say.otherTargets}
        className="other-targets"
        showSearch={{ optionFilterProp: 'label' }}
        value={null}
        placeholder={say.others}
        popupMatchSelectWidth={false}
        onChange={(id: string | null) => id && take(id)}
        options={rest.map((t) => ({ value: t.id, label: t.name }))}
      />
      <button
        className="plain targets-several"
        aria-pressed={asking.several}
        onClick={() =>
          onChange({
            several: !asking.several,
            targets: asking.several ? asking.targets.slice(0, 1) : asking.targets,
          })
        }
      >
        {asking.several ? say.oneOnly : say.several}
      </button>
    </div>
  );
}
