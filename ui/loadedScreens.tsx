import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type ComponentType, useEffect } from 'react';
import { Fault, Loading } from './parts';

type Screens = typeof import('./screens');

const SCREENS = {
  queryKey: ['screens'],
  queryFn: () => import('./screens'),
  staleTime: Infinity,
  gcTime: Infinity,
  structuralSharing: false,
} as const;

/** Time after which a page that needs none of them has them loaded, ms. */
const SOON = 1_000;

/** Has the screens that are loaded apart be at hand before the first of them is opened. */
export function useScreensSoon(): void {
  const client = useQueryClient();
  useEffect(() => {
    const waiting = setTimeout(() => void client.prefetchQuery(SCREENS), SOON);
    return () => clearTimeout(waiting);
  }, [client]);
}

/** All that is drawn in three dimensions, from when a screen that draws was first loaded. */
export function LoadedDrawing() {
  const { data } = useQuery({ ...SCREENS, enabled: false });
  return data ? <data.Drawing /> : null;
}

/** One of the screens that are loaded apart, and what stands in its place until it is. */
export function loadedScreen<Props extends object>(of: (screens: Screens) => ComponentType<Props>) {
  return function LoadedScreen(props: Props) {
    const { data, error, refetch } = useQuery(SCREENS);
    if (error) return <NotLoaded onRetry={() => void refetch()} />;
    if (!data) return <Loading what="Fetching what draws it" />;
    const Screen = of(data);
    return <Screen {...props} />;
  };
}

/** Where a network is, it may be that a newer build has taken the place of what is asked for. */
const NotLoaded = ({ onRetry }: { onRetry: () => void }) => (
  <Fault
    title="This page could not be loaded"
    words="The network may be gone, or there is a newer Stone Hop. What you made is kept."
    action={{
      label: 'Try again',
      act: () => (navigator.onLine ? window.location.reload() : onRetry()),
    }}
  />
);
