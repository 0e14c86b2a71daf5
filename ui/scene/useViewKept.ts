import { useEffect, useState } from 'react';
import { useView } from './view';

/** What is looked at when a screen comes up is looked at again once it is gone. */
export function useViewKept(): void {
  const [before] = useState(() => {
    const { target, distance, yaw, pitch, mode } = useView.getState();
    return { target, distance, yaw, pitch, mode };
  });
  useEffect(() => () => useView.getState().look(before), [before]);
}
