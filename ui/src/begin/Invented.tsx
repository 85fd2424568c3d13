import { useMutation } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { Link, useNavigate } from 'react-router';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useSession } from '../signin/session';

/** That what one looks at is invented, with the ways on from it; nothing where it is not. */
export function Invented({ withBegin }: { withBegin?: boolean }) {
  const { invented } = useSession();
  const invalidate = useInvalidate();
  const { modal } = App.useApp();
  const go = useNavigate();
  const remove = useMutation({
    mutationFn: api.removeCoast,
    onSuccess: async () => {
      await invalidate('spots');
      await invalidate('tide');
      await invalidate('session');
      void go('/');
    },
  });
  if (!invented) return null;
  const ask = () =>
    void modal.confirm({
      title: 'Take the invented coast away?',
      content:
        'Its waters go with their spots, depths and log, and whatever you added to them. Your own waters stay.',
      okText: 'Take it away',
      cancelText: 'Leave it',
      onOk: () => remove.mutateAsync(),
    });
  return (
    <p className="invented small" role="note">
      The coast you look at is invented. {withBegin && <Link to="/begin">Make a water of your own</Link>}{' '}
      <Button size="small" type="text" loading={remove.isPending} onClick={ask}>
        Take the invented coast away
      </Button>
      {remove.error && <span role="alert">{remove.error.message}</span>}
    </p>
  );
}
