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

type Listed = Schemas['WaterListed'];

/** One's waters: what they are called, where their forecast comes from, and taking one away. */
export function WatersPage() {
  const go = useNavigate();
  const waters = useQuery({ queryKey: keys.waters, queryFn: api.waters });
  return (
    <>
      <div className="waters-acts">
        <Button type="primary" onClick={() => void go('/begin')}>
          Make another water
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
      void message.success(`${w.name} is gone.`);
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
      title: `Take ${w.name} away?`,
      content: holds,
      okText: 'All of it',
      okButtonProps: { danger: true },
      cancelText: 'Leave it',
      onOk: () => remove.mutateAsync(),
    });
  };
  return (
    <section className="panel">
      <h2>{w.name}</h2>
      {w.invented && <p className="quiet">Of the invented coast.</p>}
      <form
        className="keep"
        onSubmit={(e) => {
          e.preventDefault();
          rename.mutate();
        }}
      >
        <label>
          <span>Name</span>
          <Input value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />
        </label>
        <Fault of={[rename]} />
        <Button htmlType="submit" disabled={!name.trim() || name === w.name} loading={rename.isPending}>
          Rename
        </Button>
      </form>
      <Forecast water={w} />
      <Fault of={[remove]} />
      <Button danger type="text" onClick={() => void ask()}>
        Take this water away…
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
      if (f) undo('The forecast address', () => api.putFeed(water.id, f.url).then(() => invalidate('water')));
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
          <span>Forecast address</span>
          <Input
            value={url}
            maxLength={400}
            placeholder="https://… hourly CSV with CF standard names"
            onChange={(e) => setTyped(e.target.value)}
          />
        </label>
        <Fault of={[put, remove]} />
        <Button htmlType="submit" disabled={!url.trim()} loading={put.isPending}>
          {f && url === f.url ? 'Try it again' : 'Try it'}
        </Button>
        {f && (
          <Button type="text" loading={remove.isPending} onClick={() => remove.mutate()}>
            Take it away
          </Button>
        )}
      </form>
      <p className="small" role="status">
        {f?.problem
          ? `It did not go well: ${f.problem}.`
          : put.data?.readings
            ? `${put.data.readings} readings came, issued ${day(put.data.issued_at!, water.time_zone)} ${clock(put.data.issued_at!, water.time_zone)}.`
            : f?.fetched_at
              ? `Fetched ${day(f.fetched_at, water.time_zone)} ${clock(f.fetched_at, water.time_zone)}.`
              : 'Without one, what is usual is assumed, and said to be.'}
      </p>
    </>
  );
}
