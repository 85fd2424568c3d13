import { number, unitOf } from '../format/spoken';
import { Select } from 'antd';
import { memo } from 'react';
import { water as say } from '../words/water';

/** Round depths of either system, metres. */
const offered = () =>
  unitOf('depth') === 'ft'
    ? [1, 2, 3, 4, 5, 6, 8, 10, 15, 20, 30, 40, 60].map((ft) => ft * 0.3048)
    : [0.5, 1, 1.5, 2, 3, 4, 5, 7, 10, 15, 20];

/** Which depths have a line of their own. */
export const ContourPick = memo(function ContourPick(props: {
  value: number[];
  onChange: (v: number[]) => void;
}) {
  const { value, onChange } = props;
  return (
    <Select
      mode="multiple"
      aria-label={say.depthsWithALine}
      value={value}
      onChange={(v) => onChange([...v].sort((a, b) => a - b))}
      maxTagCount={0}
      maxTagPlaceholder={(l) =>
        say.linesAt(
          l
            .map((o) => o.value as number)
            .sort((a, b) => a - b)
            .map((d) => number('depth', d, 1).replace('.0', ''))
            .join(', '),
          unitOf('depth'),
        )
      }
      placeholder={say.noLinesOfDepth}
      showSearch={false}
      options={offered().map((v) => ({
        value: v,
        label: `${number('depth', v, 1).replace('.0', '')} ${unitOf('depth')}`,
      }))}
      className="contour-pick"
      popupMatchSelectWidth={false}
    />
  );
});
