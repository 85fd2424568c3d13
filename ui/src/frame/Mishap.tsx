import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useEffect, useSyncExternalStore, type ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useLocation } from 'react-router';
import { signal } from '../device/stand';
import { frame as say } from '../words/frame';
import { NotFetched } from './page';

/**
 * Where what is inside cannot be drawn, that is said in its place and the rest goes on; at another address it is
 * drawn again.
 */
export function MishapsSaid({ part, children }: { part?: boolean; children: ReactNode }) {
  const { pathname } = useLocation();
  const queries = useQueryClient();
  return (
    <ErrorBoundary
      FallbackComponent={part ? PartMishap : Mishap}
      resetKeys={[pathname]}
      // What could not be drawn is asked for anew.
      onReset={() => queries.removeQueries({ type: 'inactive' })}
    >
      {children}
    </ErrorBoundary>
  );
}

/** Draws what failed again; what could not be fetched is fetched anew, now or when one comes back to it. */
function useAgain({ error, resetErrorBoundary }: FallbackProps) {
  const forget = error instanceof NotFetched ? error.forget : undefined;
  useEffect(() => forget, [forget]);
  return () => {
    forget?.();
    resetErrorBoundary();
  };
}

function Mishap(props: FallbackProps) {
  const { error } = props;
  const again = useAgain(props);
  const lost = useSyncExternalStore(signal.subscribe, signal.lost);
  const unfetched = error instanceof NotFetched;
  return (
    <section className="mishap" role="alert">
      <h1>{unfetched ? say.notFetched : say.notDrawn}</h1>
      <p>{say.nothingLost}</p>
      {lost && !unfetched && <p>{say.keptByAnOlder}</p>}
      <p className="form-acts">
        <Button type="primary" size="large" onClick={again}>
          {say.tryAgain}
        </Button>
        <Button size="large" onClick={() => window.location.reload()}>
          {say.loadAnew}
        </Button>
      </p>
      {!unfetched && <p className="quiet small">{say.whatItSaid(String(error))}</p>}
    </section>
  );
}

function PartMishap(props: FallbackProps) {
  const again = useAgain(props);
  return (
    <p className="mishap-part" role="alert">
      {say.partNotDrawn} <Button onClick={again}>{say.tryAgain}</Button>
    </p>
  );
}
