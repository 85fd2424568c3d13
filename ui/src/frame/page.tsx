import { lazy, useState, type ComponentType } from 'react';

type Loaded = { default: ComponentType };

/**
 * A page in a file of its own. Fetched before it is shown it is drawn at once: what React suspends for, if only
 * for a moment, it holds back for a third of a second.
 */
export function page(load: () => Promise<Loaded>) {
  let here: ComponentType | undefined;
  const fetch = async () => {
    const loaded = await load();
    here = loaded.default;
    return loaded;
  };
  const Later = lazy(fetch);
  function Page() {
    // What was begun with stays: another component would be drawn anew.
    const [Shown] = useState<ComponentType>(() => here ?? Later);
    return <Shown />;
  }
  return Object.assign(Page, { fetch });
}
