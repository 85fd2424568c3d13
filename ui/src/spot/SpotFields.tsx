import { NumberField } from '../format/NumberField';
import { Checkbox, Input, Select } from 'antd';
import type { SpotBody, Words } from '../api/client';
import { HoursEditor } from './Hours';
import { spot as say } from '../words/spot';

const manners: SpotBody['manner'][] = ['on foot', 'wading', 'kayak', 'boat'];

/** What the critical point of a way is, by how one goes. */
/** The kind of place a spring run passes, as the core names it. */
const riverBend = 'river bend';

const passage: Record<SpotBody['manner'], string> = {
  'on foot': say.lowestGround,
  wading: say.deepestGut,
  kayak: say.highestSill,
  boat: say.highestSill,
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
          {say.itsName}
          <Input value={b.name} onChange={(e) => onChange({ name: e.target.value })} />
        </label>
        <label>
          {say.kindOfPlace}
          <Select
            aria-label={say.kindOfPlace}
            showSearch
            value={b.place}
            options={options(words.places)}
            onChange={(place) => onChange(place === riverBend ? { place } : { place, bend: undefined })}
          />
        </label>
        {b.place === riverBend && (
          <label>
            {say.whichBend}
            <NumberField
              min={1}
              max={60}
              decimals={0}
              value={b.bend}
              placeholder={say.fromTheMouth}
              onChange={(v) => onChange({ bend: v === undefined ? undefined : Math.round(v) })}
            />
          </label>
        )}
      </div>
      <div className="form-row">
        <label>
          {say.water2}
          <Select
            aria-label={say.water2}
            value={b.water_id}
            options={waters.map((w) => ({ value: w.id, label: w.name }))}
            onChange={(water_id) => onChange({ water_id })}
          />
        </label>
        <label>
          {say.bottom}
          <Select
            aria-label={say.bottom}
            value={b.bottom ?? ''}
            options={[{ value: '', label: say.notKnown }, ...options(words.bottoms)]}
            onChange={(bottom) => onChange({ bottom: bottom || undefined })}
          />
        </label>
        <label>
          {say.faces}
          <NumberField
            unit="deg"
            min={0}
            max={360}
            value={b.faces_deg}
            onChange={(v) => onChange({ faces_deg: v })}
          />
        </label>
      </div>
      <h2>{say.thereAndBack}</h2>
      <div className="form-row">
        <label>
          {say.oneGoes}
          <Select
            aria-label={say.oneGoes}
            value={b.manner}
            options={options(manners)}
            onChange={(manner) =>
              onChange({ manner, manners: (b.manners ?? []).filter((m) => m !== manner) })
            }
          />
        </label>
        <label>
          {say.orAlso}
          <Select
            mode="multiple"
            aria-label={say.orAlso}
            value={b.manners ?? []}
            options={options(manners.filter((m) => m !== b.manner))}
            onChange={(list) => onChange({ manners: list })}
            placeholder={say.noOtherWay}
          />
        </label>
        {(b.manner === 'on foot' || b.manner === 'wading') && (
          <label>
            {say.oneStandsAtAboveDatum}
            <NumberField
              measure="depth"
              min={-20}
              max={100}
              placeholder={say.theHigherWay}
              value={b.stand_m}
              onChange={(v) => onChange({ stand_m: v })}
            />
          </label>
        )}
        {b.manner === 'boat' && (
          <label>
            {say.draught}
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
            {(way === 'in' ? say.wayIn : say.wayBack)(passage[b.manner])}
            <Input
              value={b[way].name}
              onChange={(e) => onChange({ [way]: { ...b[way], name: e.target.value } })}
            />
          </label>
          <label>
            {say.aboveChartDatum}
            <NumberField
              measure="depth"
              value={b[way].clear ? undefined : b[way].elevation_m}
              placeholder={b[way].clear ? say.noMatter : ''}
              onChange={(v) =>
                v !== undefined && onChange({ [way]: { ...b[way], elevation_m: v, clear: undefined } })
              }
            />
          </label>
          <Checkbox
            checked={b[way].clear ?? false}
            onChange={(e) => onChange({ [way]: { ...b[way], clear: e.target.checked || undefined } })}
          >
            {say.noDepthInTheWay}
          </Checkbox>
        </div>
      ))}
      <p className="quiet small">{say.theWayBackMayLie}</p>
      <label>
        {say.hazards}
        <Input value={b.hazards ?? ''} onChange={(e) => onChange({ hazards: e.target.value || undefined })} />
      </label>
      <HoursEditor
        hours={b.hours ?? []}
        onChange={(hours) => onChange({ hours: hours.length > 0 ? hours : undefined })}
      />
      <div className="form-row">
        <label>
          {say.fee}
          <Input
            value={b.fee ?? ''}
            maxLength={200}
            onChange={(e) => onChange({ fee: e.target.value || undefined })}
          />
        </label>
        <label>
          {say.parking}
          <Input
            value={b.parking ?? ''}
            maxLength={200}
            onChange={(e) => onChange({ parking: e.target.value || undefined })}
          />
        </label>
      </div>
      <label>
        {say.note}
        <Input value={b.note ?? ''} onChange={(e) => onChange({ note: e.target.value || undefined })} />
      </label>
      <Checkbox checked={!b.public} onChange={(e) => onChange({ public: !e.target.checked })}>
        {say.privateLeavesInAnExport}
      </Checkbox>
    </>
  );
}
