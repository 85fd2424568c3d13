import { Popover } from 'antd';
import { ribbon as say } from '../words/ribbon';

const entries: [string, string][] = [
  ['visit', 'one can get in and back'],
  ['best', 'most marks are worth a cast'],
  ['night', 'night; lighter: twilight'],
  ['gloom', 'too dark down there to see by'],
  ['limit', 'where the tide crosses a mark'],
  ['danger', 'where the way shuts'],
  ['pebble', 'a spell in the log: full with a catch'],
];

/** What is drawn on the ribbon, one touch away. */
export function Key() {
  return (
    <Popover
      trigger="click"
      placement="topRight"
      content={
        <ul className="ribbon-key" aria-label={say.whatTheRibbonShows}>
          {entries.map(([name, says]) => (
            <li key={name}>
              <span className={`swatch ${name}`} />
              {says}
            </li>
          ))}
        </ul>
      }
    >
      <button aria-label={say.whatTheRibbonShows} title={say.whatTheRibbonShows}>
        ?
      </button>
    </Popover>
  );
}
