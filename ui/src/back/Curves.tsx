import { keepPreviousData, useQueries } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { api, type CurveBy } from '../api/client';
import { CurveChart, curveSays } from './CurveChart';
import { back as say } from '../words/back';

/** The catch a rod-hour against one condition, target by target. */
export function Curves({ targets }: { targets: { id: string; name: string }[] }) {
  const [by, choose] = useState<CurveBy>('level');
  const curves = useQueries({
    queries: targets.map((t) => ({
      queryKey: ['curve', t.id, by],
      queryFn: () => api.evidenceCurve(t.id, by),
      placeholderData: keepPreviousData,
    })),
  });
  return (
    <section className="panel evidence-part">
      <h2>{say.curves.title}</h2>
      <p className="quiet">{say.curves.what}</p>
      <Select
        aria-label={say.curves.against}
        value={by}
        onChange={choose}
        popupMatchSelectWidth={false}
        options={say.curves.conditions}
      />
      <div className="curves">
        {targets.map((t, i) => {
          const c = curves[i]?.data;
          if (!c) return null;
          return (
            <div key={t.id}>
              {c.rug.length === 0 ? (
                <p className="quiet">{say.curves.nothing(t.name)}</p>
              ) : (
                <>
                  <CurveChart curve={c} name={t.name} width={270} height={180} />
                  <p className="small">{curveSays(c, t.name)}</p>
                  {c.unread > 0 && <p className="quiet small">{say.curves.unread(c.unread)}</p>}
                </>
              )}
            </div>
          );
        })}
      </div>
      <p className="quiet small">{say.curves.legend}</p>
    </section>
  );
}
