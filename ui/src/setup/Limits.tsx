import { useUndo } from '../frame/useUndo';
import { useLeaveGuard } from '../frame/unkept';
import { Fault } from '../frame/Fault';
import { NumberField } from '../format/NumberField';
import { number } from '../format/spoken';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useState } from 'react';
import { api, type Limit } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { setup as say } from '../words/setup';

type Own = Record<string, { think: number | null; do_not: number | null }>;

/** Going or not: where one thinks again and where one does not go, by manner. */
export function Limits() {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const undo = useUndo();
  const limits = useQuery({ queryKey: keys.limits, queryFn: api.limits });
  const [changed, setChanged] = useState<Own>({});
  const { letGo } = useLeaveGuard(Object.keys(changed).length > 0);
  const save = useMutation({
    mutationFn: (own: Own) => api.putLimits(Object.entries(own).map(([id, l]) => ({ id, ...l }))),
    onSuccess: (_, own) => {
      letGo();
      setChanged({});
      if (Object.keys(own).length > 0) void message.success(say.yourLimitsAreKept);
      return invalidate('limits');
    },
  });
  if (!limits.data) return null;
  const list = limits.data.limits;
  const own: Own = {
    ...Object.fromEntries(list.filter((l) => l.own).map((l) => [l.id, { think: l.think, do_not: l.do_not }])),
    ...changed,
  };
  const now = (l: Limit) => changed[l.id] ?? { think: l.think, do_not: l.do_not };
  return (
    <section className="panel limits" id="limits">
      <h2>{say.goingOrNot}</h2>
      <p className="quiet">{say.anEmptyFieldStandsFor(limits.data.basis)}</p>
      <table>
        <thead>
          <tr>
            <th scope="col">{say.byManner}</th>
            <th scope="col">{say.thinkAgain}</th>
            <th scope="col">{say.doNotGo}</th>
            <th scope="col">
              <span className="quiet small">{say.usual}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {list.map((l, i) => (
            <tr key={l.id}>
              <th scope="row">
                {l.manner !== list[i - 1]?.manner && <span className="small quiet">{l.manner}</span>}
                {l.says} {l.falls ? say.atOrUnder : say.atOrOver}
              </th>
              {(['think', 'do_not'] as const).map((step) => (
                <td key={step}>
                  <NumberField
                    aria-label={`${l.says}, ${l.manner}: ${step === 'think' ? say.thinkAgain2 : say.doNotGo2}`}
                    min={0}
                    max={l.most}
                    measure={l.measure}
                    unit={l.unit}
                    value={now(l)[step] ?? undefined}
                    onChange={(v) => setChanged({ ...changed, [l.id]: { ...now(l), [step]: v ?? null } })}
                  />
                </td>
              ))}
              <td className="quiet small">
                {usual(l, l.house_think)}, {usual(l, l.house_do_not)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Fault of={[save]} />
      <div className="limits-acts">
        <Button
          type="primary"
          disabled={Object.keys(changed).length === 0}
          loading={save.isPending}
          onClick={() => save.mutate(own)}
        >
          {say.keepMyLimits}
        </Button>
        {list.some((l) => l.own) && (
          <Button
            onClick={() =>
              save.mutate({}, { onSuccess: () => undo(say.yourLimits, () => save.mutateAsync(own)) })
            }
          >
            {say.backToTheUsual}
          </Button>
        )}
      </div>
    </section>
  );
}

const usual = (l: Limit, v: number | null | undefined) =>
  v === null || v === undefined ? 'never' : l.measure ? number(l.measure, v) : v;
