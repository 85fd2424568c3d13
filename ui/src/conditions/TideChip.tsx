import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import { memo, useState } from 'react';
import { api, type SpotState } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useUndo } from '../frame/useUndo';
import { fixed } from '../format/measure';
import { NumberField } from '../format/NumberField';
import { depth } from '../format/spoken';
import { clock, day, lasting } from '../format/time';
import { useMoment, usePlace } from '../moment/moment';
import { Pop } from './Pop';
import { PopForm } from './PopForm';
import { useSpotState } from './useSpotState';
import { conditions as say } from '../words/conditions';

/** The stage of the tide and its strength; one touch says that the water stands off its prediction. */
export function TideChip() {
  const moment = useMoment();
  const state = useSpotState();
  return moment.frame ? <Chip stage={moment.frame.stage} s={state.data} /> : null;
}

/** It stays as it is while only the moment moves within a stage. */
const Chip = memo(function Chip({ stage, s }: { stage: string; s?: SpotState }) {
  const [open, setOpen] = useState(false);
  const surge = s?.conditions.find((c) => c.kind === 'tide_surge_m');
  return (
    <li>
      <Pop
        title={say.theTide}
        open={open}
        onOpen={setOpen}
        content={s ? <Surge state={s} onDone={() => setOpen(false)} /> : say.oneMoment}
      >
        <button className={surge ? 'cond observed' : 'cond predicted'} title={say.tidePredictedSayWhatYou}>
          <b>{stage}</b>
          {surge && (
            <b>
              {' '}
              {surge.value >= 0 ? '+' : ''}
              {depth(surge.value)}
            </b>
          )}
          <span className="unseen">, {surge ? say.withTheSurgeYouSaw : say.predicted}</span>
        </button>
      </Pop>
    </li>
  );
});

function Surge({ state, onDone }: { state: SpotState; onDone: () => void }) {
  const here = usePlace();
  const moment = useMoment();
  const invalidate = useInvalidate();
  const zone = here.spot.time_zone;
  const [by, setBy] = useState(state.surge?.by_m);
  const [fade, setFade] = useState<number | undefined>(12);
  const done = () => {
    // Levels, depths and windows all follow.
    void invalidate('tide');
    onDone();
  };
  const put = useMutation({
    mutationFn: () =>
      api.putSurge(here.spot.water_id, {
        by_m: by!,
        fade_h: fade!,
        seen_at: moment.frame!.time,
        revision: state.surge?.revision,
      }),
    onSuccess: done,
  });
  const undo = useUndo();
  const clear = useMutation({
    mutationFn: async () => {
      const was = state.surge!;
      await api.deleteSurge(here.spot.water_id);
      return was;
    },
    onSuccess: (was) => {
      done();
      const fade_h = (Date.parse(was.ends_at) - Date.parse(was.seen_at)) / 3.6e6;
      undo(say.whatYouSawOfThe, () =>
        api
          .putSurge(here.spot.water_id, { by_m: was.by_m, fade_h, seen_at: was.seen_at })
          .then(() => invalidate('tide')),
      );
    },
  });
  const strength = state.conditions.find((c) => c.kind === 'tide_strength_pct');
  const error = put.error ?? clear.error;
  return (
    <PopForm onEscape={onDone}>
      <p>
        {say.tideNow(
          state.stage.says,
          state.stage.direction === 'flood',
          depth(state.stage.range_m),
          strength && fixed(strength.value, 0),
        )}{' '}
        {state.next_peak && say.springsOrNeapsOn(state.next_peak.springs, day(state.next_peak.time, zone))}
      </p>
      {state.surge && (
        <p className="small">
          {say.youSawAtItFades(
            `${state.surge.by_m >= 0 ? '+' : ''}${depth(state.surge.by_m)}`,
            clock(state.surge.seen_at, zone),
            `${day(state.surge.ends_at, zone)} ${clock(state.surge.ends_at, zone)}`,
            lasting(Date.parse(state.surge.ends_at) - Date.parse(state.time)),
          )}
        </p>
      )}
      <label className="overrule-row">
        <span>{say.higherThanPredictedByLower}</span>
        <NumberField measure="depth" value={by} onChange={setBy} min={-5} max={5} />
      </label>
      <label className="overrule-row">
        <span>{say.fadesWithin}</span>
        <NumberField unit="h" value={fade} onChange={setFade} min={1} max={96} />
      </label>
      {error && <p role="alert">{error.message}</p>}
      <Button
        type="primary"
        disabled={by === undefined || fade === undefined}
        loading={put.isPending}
        onClick={() => put.mutate()}
      >
        {say.soItStandsAt(clock(state.time, zone))}
      </Button>
      {state.surge && (
        <Button loading={clear.isPending} onClick={() => clear.mutate()}>
          {say.backToThePrediction}
        </Button>
      )}
    </PopForm>
  );
}
