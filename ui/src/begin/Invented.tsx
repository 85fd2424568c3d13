import { useMutation } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { Link, useNavigate } from 'react-router';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useSession } from '../signin/session';
import { begin as say } from '../words/begin';

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
      title: say.takeTheInventedCoastAway,
      content: say.itsWatersGoWithTheir,
      okText: say.takeItAway,
      cancelText: say.leaveIt,
      onOk: () => remove.mutateAsync(),
    });
  return (
    <p className="invented small" role="note">
      {say.theCoastYouLookAt(withBegin && <Link to="/begin">{say.makeAWaterOfYour}</Link>)}
      <Button size="small" type="text" loading={remove.isPending} onClick={ask}>
        {say.takeTheInventedCoastAway2}
      </Button>
      {remove.error && <span role="alert">{remove.error.message}</span>}
    </p>
  );
}
