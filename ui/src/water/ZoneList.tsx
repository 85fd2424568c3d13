import { useLeaveGuard } from '../frame/unkept';
import { Fault } from '../frame/Fault';
import { useUndo } from '../frame/useUndo';
import { useMutation } from '@tanstack/react-query';
import { Button, Input, Popconfirm, Select } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { api, type LatLon, type Water, type Zone, type ZoneIn } from '../api/client';
import { useInvalidate } from '../api/keys';
import { water as say } from '../words/water';

const kinds = ['no take', 'seasonal', 'voluntary code'] as const;

const fresh = (ring: LatLon[]): ZoneIn => ({
  name: '',
  kind: 'no take',
  says: '',
  source: '',
  checked_on: new Date().toISOString().slice(0, 10),
  ring,
});

/** A zone as it is written, to bring it back. */
const written = ({ id: _id, revision: _revision, warning: _warning, ...z }: Zone): ZoneIn => z;

/** Areas with a rule, as the angler entered them; they come first wherever a spot lies inside. */
export function ZoneList(props: { water: Water; ring?: LatLon[]; onDraw: () => void; onDone: () => void }) {
  const { water, ring, onDraw, onDone } = props;
  const invalidate = useInvalidate();
  const [edited, setEdited] = useState<{ id: string; zone: ZoneIn }>();
  const follow = () => {
    void invalidate('water');
  };
  const undo = useUndo();
  const remove = useMutation({
    mutationFn: (z: Zone) => api.deleteZone(z.id),
    onSuccess: (_, z) => {
      follow();
      undo(z.name, () => api.putZone(z.id, water.id, written(z)).then(follow));
    },
  });
  const done = () => {
    setEdited(undefined);
    onDone();
    follow();
  };
  const current = edited ?? (ring ? { id: '', zone: fresh(ring) } : undefined);
  if (current)
    return (
      <ZoneForm
        key={current.id}
        waterId={water.id}
        id={current.id || undefined}
        zone={current.zone}
        onDone={done}
      />
    );
  return (
    <>
      <p className="quiet small">{say.theProgramShipsNoLaw}</p>
      <div className="map-acts">
        <Button onClick={onDraw}>{say.drawAZone}</Button>
      </div>
      <Fault of={[remove]} />
      <ul className="zones">
        {water.zones.map((z) => (
          <li key={z.id} className="panel">
            <h3>{z.name}</h3>
            <p className="small">{z.warning}</p>
            <Button size="small" onClick={() => setEdited({ id: z.id, zone: z })}>
              {say.change2}
            </Button>{' '}
            <Popconfirm title={say.remove(z.name)} okText={say.remove2} onConfirm={() => remove.mutate(z)}>
              <Button size="small">{say.remove2}</Button>
            </Popconfirm>
          </li>
        ))}
      </ul>
      {water.zones.length === 0 && <p className="panel">{say.noZonesOnYet(water.name)}</p>}
    </>
  );
}

/** Month and day as "11-01", and back. */
const shown = (md?: number) =>
  md ? `${String(Math.floor(md / 100)).padStart(2, '0')}-${String(md % 100).padStart(2, '0')}` : '';
const read = (s: string) => {
  const k = /^(\d{1,2})-(\d{1,2})$/.exec(s.trim());
  return k ? Number(k[1]) * 100 + Number(k[2]) : 0;
};

function ZoneForm(props: { waterId: string; id?: string; zone: ZoneIn; onDone: () => void }) {
  const { waterId, id, onDone } = props;
  const [z, setZone] = useState<ZoneIn>({ ...props.zone });
  const [season, setSeason] = useState([shown(z.from_md), shown(z.to_md)]);
  const { letGo, leave } = useLeaveGuard(
    !id ||
      JSON.stringify([z, season]) !==
        JSON.stringify([props.zone, [shown(props.zone.from_md), shown(props.zone.to_md)]]),
  );
  const put = useMutation({
    mutationFn: () => {
      const { name, kind, says, source, checked_on, ring } = z;
      const [from, to] = kind === 'seasonal' ? season.map(read) : [0, 0];
      const zone: ZoneIn = { name, kind, says, source, checked_on, ring, revision: z.revision };
      if (from || to) Object.assign(zone, { from_md: from, to_md: to });
      return api.putZone(id ?? v7(), waterId, zone);
    },
    onSuccess: () => {
      letGo();
      onDone();
    },
  });
  const set = (part: Partial<ZoneIn>) => setZone({ ...z, ...part });
  return (
    <form
      className="panel form"
      onSubmit={(e) => {
        e.preventDefault();
        put.mutate();
      }}
    >
      <h2>{id ? say.changeTheZone : say.aNewZone}</h2>
      <label>
        {say.itsName}
        <Input value={z.name} onChange={(e) => set({ name: e.target.value })} />
      </label>
      <label>
        {say.whatItAsks}
        <Select
          aria-label={say.whatItAsks}
          value={z.kind}
          onChange={(kind) => set({ kind })}
          options={kinds.map((k) => ({ value: k, label: k }))}
        />
      </label>
      {z.kind === 'seasonal' && (
        <div className="form-row">
          {[say.fromMonthDay, say.toMonthDay].map((says, i) => (
            <label key={says}>
              {says}
              <Input
                placeholder={i === 0 ? '11-01' : '03-31'}
                value={season[i]}
                onChange={(e) => setSeason(season.map((v, k) => (k === i ? e.target.value : v)))}
              />
            </label>
          ))}
        </div>
      )}
      <label>
        {say.theRuleInWords}
        <Input.TextArea rows={2} value={z.says} onChange={(e) => set({ says: e.target.value })} />
      </label>
      <label>
        {say.whereItStands}
        <Input value={z.source} onChange={(e) => set({ source: e.target.value })} />
      </label>
      <label>
        {say.lookedUpOn}
        <Input type="date" value={z.checked_on} onChange={(e) => set({ checked_on: e.target.value })} />
      </label>
      <Fault of={[put]} />
      <div className="map-acts">
        <Button type="primary" htmlType="submit" loading={put.isPending}>
          {say.keepTheZone}
        </Button>
        <Button onClick={() => leave(onDone)}>{say.leaveIt}</Button>
      </div>
    </form>
  );
}
