import { Fault } from '../frame/Fault';
import { useUndo } from '../frame/useUndo';
import { NumberField } from '../format/NumberField';
import { depth } from '../format/spoken';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useState } from 'react';
import { api, type SpotTide as Data } from '../api/client';
import { useInvalidate } from '../api/keys';
import { fixed } from '../format/measure';
import { clock, day } from '../format/time';
import { usePlace } from '../moment/moment';
import { Noting } from './Noting';
import { OffsetFields } from './OffsetFields';
import { plainOffsets, readOffsets, type Offsets, type OffsetsTyped } from './offsets';
import { tides as say } from '../words/tides';

/** How the chosen spot's tide follows its station, and what the angler's own notes say of it. */
export function SpotTide() {
  const here = usePlace();
  const q = useQuery({ queryKey: ['spot-tide', here.spot.id], queryFn: () => api.spotTide(here.spot.id) });
  return (
    <section className="panel">
      <h2>{say.theTideAt(here.spot.name)}</h2>
      {q.error && <p role="alert">{q.error.message}</p>}
      {q.data && <Body key={JSON.stringify([here.spot.id, q.data.offsets])} t={q.data} />}
    </section>
  );
}

function Body({ t }: { t: Data }) {
  const here = usePlace();
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const zone = here.spot.time_zone;
  const [text, setText] = useState<OffsetsTyped>(() => ({ ...plainOffsets, ...t.offsets }));
  const [seen, setSeen] = useState(t.current.seen_ms || undefined);
  const offsets = readOffsets(text);
  // Levels, windows and advice all hang on it.
  const done = () => invalidate('tide');
  const put = useMutation({
    mutationFn: (o: Offsets) => api.putOffsets(here.spot.id, o),
    onSuccess: () => {
      void done();
      void message.success(say.theTideAtNowFollows(here.spot.name));
    },
  });
  const current = useMutation({
    mutationFn: (seen_ms: number) => api.putCurrent(here.spot.id, { ...t.current, seen_ms }),
    onSuccess: done,
  });
  const undo = useUndo();
  const forget = useMutation({
    mutationFn: (n: Data['noted'][number]) => api.deleteNoted(here.spot.id, n.id),
    onSuccess: (_, { id, ...body }) => {
      void invalidate('noted');
      undo(say.theNote, () => api.putNoted(here.spot.id, id, body).then(() => invalidate('noted')));
    },
  });
  const l = t.learned;
  return (
    <>
      <p className="quiet">{say.itFollowsByTheseFigures(t.station.name)}</p>
      <form
        className="keep"
        onSubmit={(e) => {
          e.preventDefault();
          if (offsets) put.mutate(offsets);
        }}
      >
        <OffsetFields value={text} onChange={setText} />
        <Fault of={[put]} />
        <Button htmlType="submit" disabled={!offsets} loading={put.isPending}>
          {say.useThese}
        </Button>
      </form>
      <h3>{say.learnThemFromWhatYou}</h3>
      <p className="quiet">{say.noteTheTimeWhenThe}</p>
      <Noting />
      <Fault of={[forget]} />
      {t.noted.length > 0 && (
        <ul className="noted">
          {t.noted.map((n) => (
            <li key={n.id}>
              {say.water(
                n.kind,
                day(n.time, zone),
                <b>{clock(n.time, zone)}</b>,
                n.height_m !== undefined && `, ${depth(n.height_m)}`,
              )}
              <Button
                size="small"
                type="text"
                aria-label={say.forgetWater(n.kind, clock(n.time, zone))}
                onClick={() => forget.mutate(n)}
              >
                {say.forget}
              </Button>
            </li>
          ))}
        </ul>
      )}
      {t.cannot_say && <p className="caution">{t.cannot_say}</p>}
      {l && (
        <div className="learned">
          <p>
            {say.notesSayHighWaterLater(
              l.highs + l.lows,
              <b>{say.min3(fixed(l.lag_high_min, 0))}</b>,
              fixed(l.lag_high_error_min, 0),
              <b>{say.min4(fixed(l.lag_low_min, 0))}</b>,
              fixed(l.lag_low_error_min, 0),
              l.factor_error !== undefined && (
                <>{say.heights(<b>×{fixed(l.factor_high ?? 1, 2)}</b>, fixed(l.factor_error, 2))}</>
              ),
            )}
          </p>
          <Button
            type="primary"
            loading={put.isPending}
            onClick={() =>
              put.mutate(
                l.factor_error === undefined
                  ? { ...t.offsets, lag_high_min: l.lag_high_min, lag_low_min: l.lag_low_min }
                  : {
                      lag_high_min: l.lag_high_min,
                      lag_low_min: l.lag_low_min,
                      factor_high: l.factor_high,
                      factor_low: l.factor_low,
                    },
              )
            }
          >
            {say.useWhatWasLearned}
          </Button>
        </div>
      )}
      <h3>{say.howItRuns}</h3>
      <form
        className="keep"
        onSubmit={(e) => {
          e.preventDefault();
          current.mutate(seen ?? 0);
        }}
      >
        <label>
          <span>{say.theFastestRunYouHave}</span>
          <NumberField
            measure="run"
            min={0}
            max={8}
            value={seen}
            placeholder={t.current.basin_m2 ? say.workedOut : say.notKnown}
            onChange={setSeen}
          />
        </label>
        <Fault of={[current]} />
        <Button htmlType="submit" loading={current.isPending}>
          {say.keepIt}
        </Button>
      </form>
    </>
  );
}
