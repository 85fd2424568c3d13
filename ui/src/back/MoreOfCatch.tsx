import { useMutation, useQuery } from '@tanstack/react-query';
import { Input, Select } from 'antd';
import { useState } from 'react';
import { api, type Spell } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { Fault } from '../frame/Fault';
import { NumberField } from '../format/NumberField';
import { show } from '../format/spoken';
import { Verdict } from '../law/Verdict';
import { AddPhoto } from './Photos';
import { more, written } from './again';
import { back as say } from '../words/back';

type Catch = Spell['catches'][number];
/** Stands for a target where a fish is none of them. */
const other = 'other';
type More = ReturnType<typeof more>;

/** What few catches say, and where it is written: length, girth, how it was measured, hook, tag. */
export function MoreOfCatch({ c, spot }: { c: Catch; spot: string }) {
  const [open, setOpen] = useState(false);
  const said = [
    c.measured && say.measuredBy(c.measured),
    c.girth_m && say.girthOf(show('fish_length', c.girth_m)),
    c.hook_place && say.hookedIn(c.hook_place),
    c.hook === 'teaser' && say.onTheTeaser,
    c.tag_number && say.taggedAs(c.tag_number, c.tag_side ?? '', c.tag_programme ?? ''),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <>
      {said && <span className="quiet small">{said} </span>}
      <button className="plain small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {say.moreOfIt}
      </button>
      {open && <Fields c={c} spot={spot} onDone={() => setOpen(false)} />}
    </>
  );
}

function Fields({ c, spot, onDone }: { c: Catch; spot: string; onDone: () => void }) {
  const invalidate = useInvalidate();
  const [length, setLength] = useState<number | undefined>(c.length_m);
  const targets = useQuery({ queryKey: keys.targets, queryFn: api.targets, staleTime: Infinity });
  const [kind, setKind] = useState({ target: c.target, species: c.species ?? '' });
  const [m, set] = useState<Partial<More>>(more(c));
  const change = (part: Partial<More>) => set({ ...m, ...part });
  const save = useMutation({
    mutationFn: () =>
      api.putCatch(c.id, {
        spell_id: c.spell_id,
        ...written(c),
        target: kind.target,
        ...(kind.target === other ? { species: kind.species.trim() } : {}),
        ...(m as More),
        ...(length ? { length_m: length } : {}),
        revision: c.revision,
      }),
    onSuccess: async () => {
      await invalidate('log');
      onDone();
    },
  });
  return (
    <div className="form catch-more">
      <label>
        {say.kindOfFish}
        <Select
          aria-label={say.kindOfFish}
          virtual={false}
          showSearch={{ optionFilterProp: 'label' }}
          value={kind.target}
          onChange={(target: string) => setKind({ ...kind, target })}
          options={[
            ...(targets.data ?? []).map((t) => ({ value: t.id, label: t.name })),
            { value: other, label: say.files.noneOfThem },
          ]}
        />
      </label>
      {kind.target === other && (
        <label>
          {say.nameOfFish}
          <Input
            value={kind.species}
            maxLength={80}
            onChange={(e) => setKind({ ...kind, species: e.target.value })}
          />
        </label>
      )}
      <label>
        {say.length}
        <NumberField measure="fish_length" min={0.01} max={3.99} value={length} onChange={setLength} />
      </label>
      <Verdict
        fish={{
          species: kind.target === other ? kind.species : kind.target,
          spot_id: spot,
          time: c.caught_at,
          catch_id: c.id,
          ...(length ? { length_m: length } : {}),
          ...(c.who ? { angler: c.who } : {}),
        }}
      />
      <label>
        {say.measured}
        <Select
          aria-label={say.measured}
          allowClear
          value={m.measured || null}
          onChange={(v?: More['measured'] | null) => change({ measured: v ?? undefined })}
          options={say.measures}
        />
      </label>
      <label>
        {say.girth}
        <NumberField
          measure="fish_length"
          min={0.01}
          max={3.99}
          value={m.girth_m}
          onChange={(girth_m) => change({ girth_m })}
        />
      </label>
      <label>
        {say.hookPlace}
        <Select
          aria-label={say.hookPlace}
          allowClear
          value={m.hook_place || null}
          onChange={(v?: More['hook_place'] | null) => change({ hook_place: v ?? undefined })}
          options={say.hookPlaces}
        />
      </label>
      <label>
        {say.whichHook}
        <Select
          aria-label={say.whichHook}
          allowClear
          value={m.hook || null}
          onChange={(v?: More['hook'] | null) => change({ hook: v ?? undefined })}
          options={say.hooks}
        />
      </label>
      <label>
        {say.tagNumber}
        <Input
          value={m.tag_number ?? ''}
          maxLength={40}
          onChange={(e) => change({ tag_number: e.target.value })}
        />
      </label>
      <label>
        {say.tagSide}
        <Select
          aria-label={say.tagSide}
          allowClear
          value={m.tag_side || null}
          onChange={(v?: More['tag_side'] | null) => change({ tag_side: v ?? undefined })}
          options={say.sides}
        />
      </label>
      <label>
        {say.tagProgramme}
        <Input
          value={m.tag_programme ?? ''}
          maxLength={80}
          onChange={(e) => change({ tag_programme: e.target.value })}
        />
      </label>
      <AddPhoto c={c} />
      <Fault of={[save]} />
      <button className="act" disabled={save.isPending} onClick={() => save.mutate()}>
        {say.keepIt}
      </button>
    </div>
  );
}
