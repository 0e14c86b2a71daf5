import { usePathname } from 'expo-router';
import type { PropsWithChildren } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { Fault } from './parts';

/** Has a page that breaks say so instead of leaving nothing; another page is drawn as ever. */
export function Guarded({ children }: PropsWithChildren) {
  const path = usePathname();
  return (
    <ErrorBoundary FallbackComponent={Broken} resetKeys={[path]}>
      {children}
    </ErrorBoundary>
  );
}

function Broken({ error, resetErrorBoundary }: FallbackProps) {
  const said = error instanceof Error && error.message ? ` It said: ${error.message}` : '';
  return (
    <Fault
      title="This page broke"
      words={`What you made is kept on this device and on the server.${said}`}
      action={{ label: 'Open it again', act: resetErrorBoundary }}
    />
  );
}
