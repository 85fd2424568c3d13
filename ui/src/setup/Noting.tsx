import { Fault } from '../frame/Fault';
import { useMutation } from '@tanstack/react-query';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { NumberField } from '../format/NumberField';
import { clock, day } from '../format/time';
import { useMoment, usePlace } from '../moment/moment';
import { tides as say } from '../words/tides';

/** Notes a high or low water for the moment of the ribbon. */
export function Noting() {
  const here = usePlace();
  const moment = useMoment();
  const invalidate = useInvalidate();
  const [kind, setKind] = useState<'high' | 'low'>('high');
  const [heightM, setHeight] = useState<number>();
  const time = moment.frame?.time;
  const ahead = !!time && Date.parse(time) > here.present().getTime() + 60_000;
  const put = useMutation({
    mutationFn: () =>
      api.putNoted(here.spot.id, v7(), {
        time: time!,
        kind,
        ...(heightM === undefined ? {} : { height_m: heightM }),
      }),
    onSuccess: () => {
      setHeight(undefined);
      void invalidate('noted');
    },
  });
  return (
    <form
      className="keep"
      onSubmit={(e) => {
        e.preventDefault();
        put.mutate();
      }}
    >
      <Segmented
        aria-label={say.whichWater}
        value={kind}
        onChange={setKind}
        options={[
          { value: 'high', label: say.highWater },
          { value: 'low', label: say.lowWater },
        ]}
      />
      <label>
        <span>{say.heightAboveDatumIfRead}</span>
        <NumberField measure="depth" value={heightM} onChange={setHeight} />
      </label>
      <Fault of={[put]} />
      <Button htmlType="submit" disabled={!time || ahead} loading={put.isPending}>
        {time
          ? say.itStoodAt(clock(time, here.spot.time_zone), day(time, here.spot.time_zone))
          : say.itStoodNow}
      </Button>
      <p className="quiet small">{ahead ? say.thatIsYetToCome : say.moveTheRibbonToAnother}</p>
    </form>
  );
}
