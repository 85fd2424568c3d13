import { lazy, useState, type ComponentType } from 'react';

/** A file of the program that could not be had: no signal and not kept, or gone with an older program. */
export class NotFetched extends Error {
  constructor(
    cause: unknown,
    /** Lets the next to draw it fetch it again: React remembers a failure for good. */
    readonly forget: () => void,
  ) {
    super(undefined, { cause });
  }
}

/**
 * A page, or what is not always on one, in a file of its own. Fetched before it is shown it is drawn at once:
 * what React suspends for, if only for a moment, it holds back for a third of a second.
 */
export function page<P extends object = object>(load: () => Promise<{ default: ComponentType<P> }>) {
  let here: ComponentType<P> | undefined;
  const fetch = async () => {
    try {
      const loaded = await load();
      here = loaded.default;
      return loaded;
    } catch (cause) {
      throw new NotFetched(cause, () => {
        Later = later();
      });
    }
  };
  const later = () => lazy(fetch) as unknown as ComponentType<P>;
  let Later = later();
  function Page(props: P) {
    // What was begun with stays: another component would be drawn anew.
    const [Shown] = useState<ComponentType<P>>(() => here ?? Later);
    return <Shown {...props} />;
  }
  return Object.assign(Page, { fetch });
}
