import { useEffect, useState } from 'react';
import { useSession } from '../signin/session';
import { changed, unsent } from './device';

/** How much of what this device keeps the server has not got yet; undefined until it has been counted. */
export function useUnsent(): number | undefined {
  const { name } = useSession();
  const [kept, setKept] = useState<number>();
  useEffect(() => {
    const count = () => void unsent(name).then(setKept, () => undefined);
    count();
    return changed(count);
  }, [name]);
  return kept;
}
