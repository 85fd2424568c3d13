import { createContext, useContext } from 'react';
import type { Post as Stands } from './outbox';

export type Post = Stands;

/** How sending what this device keeps stands, and the way to have it sent at once. */
export const PostContext = createContext<{ failed?: Post['failed']; sendNow: () => void }>({
  sendNow: () => undefined,
});
export const usePost = () => useContext(PostContext);
