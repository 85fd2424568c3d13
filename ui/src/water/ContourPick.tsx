import { Select } from 'antd';
import { memo } from 'react';

const offered = [0.5, 1, 1.5, 2, 3, 4, 5, 7, 10, 15, 20];

/** Which depths have a line of their own. */
export const ContourPick = memo(function ContourPick(props: {
  value: number[];
  onChange: (v: number[]) => void;
}) {
  const { value, onChange } = props;
  return (
    <Select
      mode="multiple"
      aria-label="Depths with a line"
      value={value}
      onChange={(v) => onChange([...v].sort((a, b) => a - b))}
      maxTagCount={0}
      maxTagPlaceholder={(l) =>
        `Lines at ${l
          .map((o) => o.value as number)
          .sort((a, b) => a - b)
          .join(', ')} m`
      }
      placeholder="No lines of depth"
      showSearch={false}
      options={offered.map((v) => ({ value: v, label: `${v} m` }))}
      className="contour-pick"
      popupMatchSelectWidth={false}
    />
  );
});
