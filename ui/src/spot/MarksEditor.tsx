import { NumberField } from '../format/NumberField';
import { Button, Checkbox, Input, Select } from 'antd';
import { v7 } from 'uuid';
import type { Schemas, Words } from '../api/client';
import { spot as say } from '../words/spot';

type Mark = Schemas['MarkBody'];

/** The features of a spot, each with its place along the section and what is known of it. */
export function MarksEditor(props: { marks: Mark[]; words: Words; onChange: (m: Mark[]) => void }) {
  const { marks, words, onChange } = props;
  const set = (i: number, part: Partial<Mark>) =>
    onChange(marks.map((m, k) => (k === i ? { ...m, ...part } : m)));
  const kinds = words.mark_kinds.map((k) => ({ value: k, label: k }));
  const bottoms = [{ value: '', label: say.notKnown }, ...words.bottoms.map((k) => ({ value: k, label: k }))];
  return (
    <div className="marks-editor">
      {marks.map((m, i) => (
        <fieldset key={m.id}>
          <legend className="unseen">{m.name || say.mark(i + 1)}</legend>
          <label>
            {say.name}
            <Input value={m.name} onChange={(e) => set(i, { name: e.target.value })} />
          </label>
          <label>
            {say.kind}
            <Select
              aria-label={say.kindOf(m.name)}
              value={m.kind}
              options={kinds}
              onChange={(kind) => set(i, { kind })}
            />
          </label>
          <label>
            {say.bottom}
            <Select
              aria-label={say.bottomAt(m.name)}
              value={m.bottom ?? ''}
              options={bottoms}
              onChange={(bottom) => set(i, { bottom: bottom || undefined })}
            />
          </label>
          <label>
            {say.out}
            <NumberField
              measure="distance"
              value={m.distance_m}
              onChange={(v) =>
                v !== undefined && set(i, { distance_m: v, elevation_m: m.at ? m.elevation_m : undefined })
              }
            />
          </label>
          <label>
            {say.aboveDatum}
            <NumberField
              measure="depth"
              value={m.elevation_m}
              placeholder={say.byTheSection}
              onChange={(v) => set(i, { elevation_m: v })}
            />
          </label>
          <label>
            {say.fishFrom}
            <NumberField
              measure="depth"
              value={m.fishable_min_m ?? 0}
              min={0}
              onChange={(v) => set(i, { fishable_min_m: v || undefined })}
            />
          </label>
          <label className="wide">
            {say.whatWasLearnedThere}
            <Input
              value={m.note ?? ''}
              placeholder={say.seenAtDeadLowWater}
              onChange={(e) => set(i, { note: e.target.value || undefined })}
            />
          </label>
          <Checkbox
            checked={m.snag ?? false}
            onChange={(e) => set(i, { snag: e.target.checked || undefined })}
          >
            {say.catchesLine}
          </Checkbox>
          <Button
            type="text"
            aria-label={say.takeAway(m.name)}
            onClick={() => onChange(marks.filter((_, k) => k !== i))}
          >
            {say.takeAway2}
          </Button>
        </fieldset>
      ))}
      <Button
        onClick={() =>
          onChange([
            ...marks,
            { id: v7(), name: '', kind: 'edge', distance_m: marks.at(-1)?.distance_m ?? 0 },
          ])
        }
      >
        {say.oneMoreMark}
      </Button>
    </div>
  );
}
