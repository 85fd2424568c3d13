import { AutoComplete, Select } from 'antd';
import { useState } from 'react';
import { NumberField } from '../format/NumberField';
import { distance } from '../format/spoken';
import { duration } from './duration';
import type { Said, Told } from './touch';
import { fish as say } from '../words/fish';

const mostRods = 6;

/** Up to six rods in a row, each with its distance and what is on it; one touch logs rod and zone. */
export function Row({
  told,
  tell,
  present,
  offerings,
  rigs,
}: {
  told: Told;
  tell: (said: Said) => void;
  present: () => Date;
  offerings: string[];
  rigs: { id: string; name: string }[];
}) {
  const { rods, moves } = told.row;
  const next = String(rods.length + 1);
  const [far, setFar] = useState<Record<string, number>>({});
  // The next rod is baited as the last one is, until somebody says otherwise.
  const [bait, setBait] = useState<string>();
  const usual = bait ?? rods.at(-1)?.offering ?? '';
  const [rig, setRig] = useState<string>();
  const usualRig = rig ?? rods.at(-1)?.rig_id ?? '';
  const out = (rod: string, distance_m: number, set: { offering?: string; rig_id?: string } | undefined) =>
    tell({
      kind: 'rod set',
      rod,
      set: {
        distance_m,
        ...(set?.offering?.trim() ? { offering: set.offering.trim() } : {}),
        ...(set?.rig_id ? { rig_id: set.rig_id } : {}),
      },
    });
  return (
    <>
      {moves.length > 0 && (
        <ul className="fish-moves">
          {moves.map((m) => (
            <li key={m.rod}>
              {say.move(m.rod, distance(m.to_m), m.scouts)}{' '}
              <button
                className="plain"
                onClick={() =>
                  out(
                    m.rod,
                    m.to_m,
                    rods.find((r) => r.rod === m.rod),
                  )
                }
              >
                {say.itIsThere}
              </button>
            </li>
          ))}
        </ul>
      )}
      {rods.map((r) => (
        <div key={r.rod} className="fish-rod" role="group" aria-label={say.rodNamed(r.rod)}>
          <b>
            {say.rodOut(
              r.rod,
              distance(r.distance_m),
              r.offering ?? '',
              duration(present().getTime() - Date.parse(r.since)),
            )}
          </b>
          {present().getTime() > Date.parse(r.check_bait) && <span className="due">{say.lookAtTheBait}</span>}
          <span className="fish-rod-acts">
            <button onClick={() => tell({ kind: 'landed', rod: r.rod })}>{say.fishOnIt(r.fish)}</button>
            <button onClick={() => tell({ kind: 'bite', rod: r.rod })}>{say.biteOnIt(r.bites)}</button>
            <button onClick={() => out(r.rod, r.distance_m, r)}>{say.outAgain}</button>
          </span>
        </div>
      ))}
      {rods.length < mostRods && (
        <div className="form">
          <label>
            {say.rodOutAt(next)}
            <NumberField
              measure="distance"
              min={0}
              max={400}
              value={far[next]}
              onChange={(m) => setFar((f) => (m === undefined ? f : { ...f, [next]: m }))}
            />
          </label>
          <label>
            {say.rodBait}
            <AutoComplete
              aria-label={say.rodBait}
              value={usual}
              maxLength={40}
              showSearch={{
                filterOption: (text, o) => (o?.value ?? '').toLowerCase().includes(text.toLowerCase()),
              }}
              options={offerings.map((value) => ({ value }))}
              onChange={(v: string) => setBait(v)}
            />
          </label>
          <label>
            {say.rodRig}
            <Select
              aria-label={say.rodRig}
              allowClear
              showSearch={{ optionFilterProp: 'label' }}
              value={usualRig || null}
              options={rigs.map((r) => ({ value: r.id, label: r.name }))}
              onChange={(v?: string) => setRig(v ?? '')}
            />
          </label>
          <button
            className="act"
            disabled={far[next] === undefined}
            onClick={() => out(next, far[next]!, { offering: usual, rig_id: usualRig })}
          >
            {say.rodIsOut}
          </button>
        </div>
      )}
    </>
  );
}
