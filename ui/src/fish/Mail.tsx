import type { Post } from './outbox';
import { fish as say } from '../words/fish';

/** How what is kept stands with the server, in a line anyone understands. */
export function Mail({ post, sendNow }: { post: Post; sendNow: () => void }) {
  if (post.waiting === 0) return <p className="fish-mail quiet small">{say.allSent}</p>;
  return (
    <p className="fish-mail small" role="status">
      {say.keptHere(post.waiting, post.failed?.status, post.failed?.message)}{' '}
      <button className="plain" onClick={sendNow}>
        {say.sendNow}
      </button>
    </p>
  );
}
