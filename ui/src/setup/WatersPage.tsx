import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Invented } from '../begin/Invented';
import { api, type Schemas } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { clock, day } from '../format/time';
import { useUndo } from '../frame/useUndo';
import { setup as say } from '../words/setup';

type Listed = Schemas['WaterListed'];

/** One's waters: what they are called, where their forecast comes from, and taking one away. */
export function WatersPage() {
  const go = useNavigate();
  const waters = useQuery({ queryKey: keys.waters, queryFn: api.waters });
  return (
    <>
      <div className="waters-acts">
        <Button type="primary" onClick={() => void go('/begin')}>
          {say.makeAnotherWater}
        </Button>
        <Invented />
      </div>
      {waters.error && <p role="alert">{waters.error.message}</p>}
      {(waters.data ?? []).map((w) => (
        <Water key={`${w.id} ${w.revision}`} w={w} />
      ))}
    </>
  );
}

function Water({ w }: { w: Listed }) {
  const invalidate = useInvalidate();
  const { message, modal } = App.useApp();
  const [name, setName] = useState(w.name);
  const rename = useMutation({
    mutationFn: () => api.putWater(w.id, { ...named(w), name }),
    onSuccess: () => invalidate('tide'),
  });
  const remove = useMutation({
    mutationFn: () => api.deleteWater(w.id, true),
    onSuccess: () => {
      void message.success(say.isGone(w.name));
      void invalidate('spots');
      void invalidate('tide');
    },
  });
  const ask = async () => {
    const holds = await api
      .deleteWater(w.id, false)
      .then(() => '')
      .catch((e: Error) => e.message);
    if (!holds) return void invalidate('spots');
    await modal.confirm({
      title: say.takeAway(w.name),
      content: holds,
      okText: say.allOfIt,
      okButtonProps: { danger: true },
      cancelText: say.leaveIt,
      onOk: () => remove.mutateAsync(),
    });
  };
  return (
    <section className="panel">
      <h2>{w.name}</h2>
      {w.invented && <p className="quiet">{say.ofTheInventedCoast}</p>}
      <form
        className="keep"
        onSubmit={(e) => {
          e.preventDefault();
          rename.mutate();
        }}
      >
        <label>
          <span>{say.name}</span>
          <Input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
        </label>
        <Fault of={[rename]} />
        <Button htmlType="submit" disabled={!name.trim() || name === w.name} loading={rename.isPending}>
          {say.rename}
        </Button>
      </form>
      <Forecast water={w} />
      <Fault of={[remove]} />
      <Button danger type="text" onClick={() => void ask()}>
        {say.takeThisWaterAway}
      </Button>
    </section>
  );
}

const named = (w: Listed) => ({
  name: w.name,
  time_zone: w.time_zone,
  station_id: w.station_id,
  revision: w.revision,
});

/** Where a water's forecast comes from; a new address is tried at once. */
function Forecast({ water }: { water: Listed }) {
  const invalidate = useInvalidate();
  const q = useQuery({ queryKey: ['water', water.id], queryFn: () => api.water(water.id) });
  const [typed, setTyped] = useState<string>();
  const undo = useUndo();
  const put = useMutation({
    mutationFn: (url: string) => api.putFeed(water.id, url),
    onSuccess: () => {
      setTyped(undefined);
      void invalidate('water');
    },
  });
  const remove = useMutation({
    mutationFn: () => api.deleteFeed(water.id),
    onSuccess: () => {
      // What came of the address went with it.
      put.reset();
      void invalidate('water');
      if (f) undo(say.theForecastAddress, () => api.putFeed(water.id, f.url).then(() => invalidate('water')));
    },
  });
  const f = put.data ?? q.data?.feed;
  const url = typed ?? f?.url ?? '';
  return (
    <>
      <form
        className="keep"
        onSubmit={(e) => {
          e.preventDefault();
          put.mutate(url.trim());
        }}
      >
        <label className="feed-address">
          <span>{say.forecastAddress}</span>
          <Input
            value={url}
            maxLength={400}
            placeholder={say.anAddressOfHourlyCsv}
            onChange={(e) => setTyped(e.target.value)}
          />
        </label>
        <Fault of={[put, remove]} />
        <Button htmlType="submit" disabled={!url.trim()} loading={put.isPending}>
          {f && url === f.url ? say.tryItAgain : say.tryIt}
        </Button>
        {f && (
          <Button type="text" loading={remove.isPending} onClick={() => remove.mutate()}>
            {say.takeItAway}
          </Button>
        )}
      </form>
      <p className="small" role="status">
        {f?.problem
          ? say.itDidNotGoWell(f.problem)
          : put.data?.readings
            ? say.readingsCameIssued(
                put.data.readings,
                day(put.data.issued_at!, water.time_zone),
                clock(put.data.issued_at!, water.time_zone),
              )
            : f?.fetched_at
              ? say.fetched(day(f.fetched_at, water.time_zone), clock(f.fetched_at, water.time_zone))
              : say.withoutOneWhatIsUsual}
      </p>
    </>
  );
}
