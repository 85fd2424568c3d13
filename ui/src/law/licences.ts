const key = 'greypebble.licences';

/** The licence classes the person on this device said they hold; undefined where they have not: then rules of every class count. */
export function heldLicences(): string[] | undefined {
  const said = localStorage.getItem(key);
  return said === null ? undefined : (JSON.parse(said) as string[]);
}

export const holdLicences = (list: string[] | undefined) =>
  list ? localStorage.setItem(key, JSON.stringify(list)) : localStorage.removeItem(key);
