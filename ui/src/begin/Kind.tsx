import { Fault } from '../frame/Fault';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Segmented } from 'antd';
import { useEffect, useState } from 'react';
import { api, type Station, type Template } from '../api/client';
import { keys } from '../api/keys';
import { useSettled } from '../conditions/useSettled';
import { NumberIn } from '../format/NumberField';
import { Profile } from './Profile';
import { begin as say } from '../words/begin';

/** The kind of place by its picture, then bent to one's own by a few depths. */
export function Kind(props: {
  station: Station;
  template: Template | undefined;
  onTemplate: (t: Template | undefined) => void;
}) {
  const { station, template, onTemplate } = props;
  const all = useQuery({
    queryKey: [...keys.templates, station.id],
    queryFn: () => api.templates(station.id),
    staleTime: Infinity,
  });
  if (all.error) return <p role="alert">{all.error.message}</p>;
  if (!all.data) return <p className="quiet">{say.drawingTheKindsOfPlace}</p>;
  if (template) return <Bend first={template} station={station} onTemplate={onTemplate} />;
  return (
    <ul className="kinds" aria-label={say.kindsOfPlace}>
      {all.data.map((t) => (
        <li key={t.id}>
          <button onClick={() => onTemplate(t)}>
            <Profile t={t} />
            <b>{t.name}</b>
            <span className="quiet small">{t.says}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function Bend(props: { first: Template; station: Station; onTemplate: (t: Template | undefined) => void }) {
  const { first, station, onTemplate } = props;
  const [answers, setAnswers] = useState<Record<string, number>>({});
  const [when, setWhen] = useState<'low' | 'now'>('low');
  const settled = useSettled(answers, 250);
  const bent = useQuery({
    queryKey: [...keys.templates, station.id, first.id, settled, when],
    queryFn: ({ signal }) =>
      api.bend(first.id, { station_id: station.id, answers: settled ?? {}, now: when === 'now' }, signal),
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
  });
  const t = bent.data ?? first;
  useEffect(() => {
    if (bent.data && !bent.isPlaceholderData) onTemplate(bent.data);
  }, [bent.data, bent.isPlaceholderData, onTemplate]);
  return (
    <div className="bend">
      <Profile t={t} large />
      <p>
        <b>{t.name}.</b> {t.says}{' '}
        <button className="plain" onClick={() => onTemplate(undefined)}>
          {say.anotherKind}
        </button>
      </p>
      <div className="bend-when">
        <Segmented
          aria-label={say.depthsYouGiveAreThose}
          value={when}
          options={[
            { value: 'low', label: say.depthsAtLowWater },
            { value: 'now', label: say.asItIsNowStanding },
          ]}
          onChange={(v) => {
            setWhen(v as 'low');
            setAnswers({});
          }}
        />
        <p className="quiet small">{say.aRodsLengthASounder}</p>
      </div>
      <div className="bend-asks">
        {t.asks.map((a) => (
          <NumberIn
            key={`${a.id} ${when}`}
            label={when === 'now' ? a.says.replace(say.atLowWater, say.nowInstead) : a.says}
            measure={a.kind === 'distance' ? 'distance' : 'depth'}
            value={answers[a.id]}
            placeholder={say.notKnown}
            onChange={(v) => {
              const { [a.id]: _, ...rest } = answers;
              setAnswers(v === undefined ? rest : { ...rest, [a.id]: v });
            }}
          />
        ))}
      </div>
      <Fault of={[bent]} />
    </div>
  );
}
