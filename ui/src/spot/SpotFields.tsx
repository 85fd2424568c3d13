import { NumberField } from '../format/NumberField';
import { Checkbox, Input, Select } from 'antd';
import type { SpotBody, Words } from '../api/client';

const manners: SpotBody['manner'][] = ['on foot', 'wading', 'kayak', 'boat'];

/** What the critical point of a way is, by how one goes. */
const passage: Record<SpotBody['manner'], string> = {
  'on foot': 'lowest ground',
  wading: 'deepest gut',
  kayak: 'highest sill',
  boat: 'highest sill',
};

/** Name, place, how to get there and back, hazards, privacy. */
export function SpotFields(props: {
  body: SpotBody;
  words: Words;
  waters: { id: string; name: string }[];
  onChange: (part: Partial<SpotBody>) => void;
}) {
  const { body: b, words, waters, onChange } = props;
  const options = (list: readonly string[]) => list.map((v) => ({ value: v, label: v }));
  return (
    <>
      <div className="form-row">
        <label>
          Its name
          <Input value={b.name} onChange={(e) => onChange({ name: e.target.value })} />
        </label>
        <label>
          Kind of place
          <Select
            aria-label="Kind of place"
            showSearch
            value={b.place}
            options={options(words.places)}
            onChange={(place) => onChange({ place })}
          />
        </label>
      </div>
      <div className="form-row">
        <label>
          Water
          <Select
            aria-label="Water"
            value={b.water_id}
            options={waters.map((w) => ({ value: w.id, label: w.name }))}
            onChange={(water_id) => onChange({ water_id })}
          />
        </label>
        <label>
          Bottom
          <Select
            aria-label="Bottom"
            value={b.bottom ?? ''}
            options={[{ value: '', label: '(not known)' }, ...options(words.bottoms)]}
            onChange={(bottom) => onChange({ bottom: bottom || undefined })}
          />
        </label>
        <label>
          Faces
          <NumberField
            unit="deg"
            min={0}
            max={360}
            value={b.faces_deg}
            onChange={(v) => onChange({ faces_deg: v })}
          />
        </label>
      </div>
      <h2>There and back</h2>
      <div className="form-row">
        <label>
          One goes
          <Select
            aria-label="One goes"
            value={b.manner}
            options={options(manners)}
            onChange={(manner) =>
              onChange({ manner, manners: (b.manners ?? []).filter((m) => m !== manner) })
            }
          />
        </label>
        <label>
          Or also
          <Select
            mode="multiple"
            aria-label="Or also"
            value={b.manners ?? []}
            options={options(manners.filter((m) => m !== b.manner))}
            onChange={(list) => onChange({ manners: list })}
            placeholder="no other way"
          />
        </label>
        {(b.manner === 'on foot' || b.manner === 'wading') && (
          <label>
            One stands at, above datum
            <NumberField
              measure="depth"
              min={-20}
              max={100}
              placeholder="the higher way"
              value={b.stand_m}
              onChange={(v) => onChange({ stand_m: v })}
            />
          </label>
        )}
        {b.manner === 'boat' && (
          <label>
            Draught
            <NumberField
              measure="depth"
              min={0}
              max={4}
              value={b.draught_m ?? 0}
              onChange={(v) => onChange({ draught_m: v ?? 0 })}
            />
          </label>
        )}
      </div>
      {(['in', 'out'] as const).map((way) => (
        <div className="form-row" key={way}>
          <label>
            Way {way === 'in' ? 'in' : 'back'}: {passage[b.manner]}
            <Input
              value={b[way].name}
              onChange={(e) => onChange({ [way]: { ...b[way], name: e.target.value } })}
            />
          </label>
          <label>
            above chart datum
            <NumberField
              measure="depth"
              value={b[way].clear ? undefined : b[way].elevation_m}
              placeholder={b[way].clear ? 'no matter' : ''}
              onChange={(v) =>
                v !== undefined && onChange({ [way]: { ...b[way], elevation_m: v, clear: undefined } })
              }
            />
          </label>
          <Checkbox
            checked={b[way].clear ?? false}
            onChange={(e) => onChange({ [way]: { ...b[way], clear: e.target.checked || undefined } })}
          >
            no depth in the way
          </Checkbox>
        </div>
      ))}
      <p className="quiet small">
        The way back may lie lower than the spot itself: that is how one is cut off. Measure it at low water.
      </p>
      <label>
        Hazards
        <Input value={b.hazards ?? ''} onChange={(e) => onChange({ hazards: e.target.value || undefined })} />
      </label>
      <label>
        Note
        <Input value={b.note ?? ''} onChange={(e) => onChange({ note: e.target.value || undefined })} />
      </label>
      <Checkbox checked={!b.public} onChange={(e) => onChange({ public: !e.target.checked })}>
        Private: leaves in an export only when asked for
      </Checkbox>
    </>
  );
}
