import { outingsOf, touchesOf } from '../device/device';
import { entriesOf } from '../device/entries';
import { useSession } from '../signin/session';
import { download } from './alarm';
import type { Post } from '../device/outbox';
import { fish as say } from '../words/fish';

/** How what is kept stands with the server, in a line anyone understands. */
export function Mail({ post, sendNow }: { post: Partial<Post>; sendNow: () => void }) {
  const { name } = useSession();
  if (post.waiting === undefined) return null;
  if (post.waiting === 0) return <p className="fish-mail quiet small">{say.allSent}</p>;
  return (
    <p className="fish-mail small" role="status">
      {say.keptHere(post.waiting, post.failed?.status, post.failed?.message)}{' '}
      <button className="plain" onClick={sendNow}>
        {say.sendNow}
      </button>{' '}
      <button className="plain" onClick={() => void copyOf(name)}>
        {say.saveACopy}
      </button>
    </p>
  );
}

/** What the server has not got, as a file: should it never come back, nothing is lost. */
async function copyOf(owner: string) {
  const outings = [];
  for (const o of await outingsOf(owner))
    if (o.count > o.sent) outings.push({ id: o.id, spot: o.spot, touches: await touchesOf(o.id) });
  const entries = (await entriesOf(owner)).map(({ id, kind, spot, body }) => ({ id, kind, spot, ...body }));
  download('outings.json', 'application/json', JSON.stringify({ outings, entries }, null, 2));
}
