import { useEffect } from 'react';

/** Lets go of geometries once they are drawn no more. */
export function useDisposal(...geometries: { dispose: () => void }[]): void {
  // The list is as long as its component has geometries, always.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  useEffect(() => () => geometries.forEach((geometry) => geometry.dispose()), geometries);
}
