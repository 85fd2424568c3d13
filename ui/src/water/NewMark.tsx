import { useLeaveGuard } from '../frame/unkept';
import { Fault } from '../frame/Fault';
import { NumberField } from '../format/NumberField';
import { useMutation } from '@tanstack/react-query';
import { App, Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { api, type LatLon, type Words } from '../api/client';
import { useInvalidate } from '../api/keys';
import { usePlace } from '../moment/moment';
import { water as say } from '../words/water';

/** A mark put on the map: what lies there, as it was learned at dead low water. */
export function NewMark({ at, words, onDone }: { at: LatLon; words: Words; onDone: () => void }) {
  const here = usePlace();
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [name, setName] = useState('');
  const [kind, setKind] = useState('timber');
  const [bottom, setBottom] = useState('');
  const [note, setNote] = useState('');
  const [snag, setSnag] = useState(false);
  const [elevation, setElevation] = useState<number>();
  const { letGo, leave } = useLeaveGuard(name !== '' || note !== '');
  const put = useMutation({
    mutationFn: () =>
      api.putMark(here.spot.id, v7(), {
        name,
        kind,
        at,
        snag,
        ...(bottom && { bottom }),
        ...(note && { note }),
        ...(elevation !== undefined && { elevation_m: elevation }),
      }),
    onSuccess: () => {
      letGo();
      void message.success(say.isAMarkOf(name, here.spot.name));
      void invalidate('spots');
      onDone();
    },
  });
  return (
    <form
      className="panel form"
      onSubmit={(e) => {
        e.preventDefault();
        put.mutate();
      }}
    >
      <h2>{say.aMarkOf(here.spot.name)}</h2>
      <label>
        {say.itsName}
        <Input autoFocus value={name} onChange={(e) => setName(e.target.value)} />
      </label>
      <div className="form-row">
        <label>
          {say.kindOfMark}
          <Select
            aria-label={say.kindOfMark}
            value={kind}
            onChange={setKind}
            options={words.mark_kinds.map((k) => ({ value: k, label: k }))}
          />
        </label>
        <label>
          {say.bottom}
          <Select
            aria-label={say.bottomThere}
            value={bottom}
            onChange={setBottom}
            options={['', ...words.bottoms].map((k) => ({ value: k, label: k || say.notKnown }))}
          />
        </label>
      </div>
      <label>
        {say.whatWasLearnedThere}
        <Input.TextArea rows={2} value={note} onChange={(e) => setNote(e.target.value)} />
      </label>
      <label>
        {say.aboveChartDatum}
        <NumberField
          measure="depth"
          value={elevation}
          placeholder={say.byTheDepthsOfThe}
          onChange={setElevation}
        />
      </label>
      <Checkbox checked={snag} onChange={(e) => setSnag(e.target.checked)}>
        {say.itCatchesLine}
      </Checkbox>
      <Fault of={[put]} />
      <div className="map-acts">
        <Button type="primary" htmlType="submit" loading={put.isPending}>
          {say.keepTheMark}
        </Button>
        <Button onClick={() => leave(onDone)}>{say.leaveIt}</Button>
      </div>
    </form>
  );
}
