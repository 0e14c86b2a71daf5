import { useFocusEffect } from 'expo-router';
import { useCallback, useState } from 'react';

/** Whether the screen is the one that is seen, not one that waits beneath another. */
export function useFocused(): boolean {
  const [focused, setFocused] = useState(true);
  useFocusEffect(
    useCallback(() => {
      setFocused(true);
      return () => setFocused(false);
    }, []),
  );
  return focused;
}

/** A value as it was when the screen was last seen: what changes beneath another is not drawn. */
export function useWhileSeen<T>(value: T): T {
  const focused = useFocused();
  const [kept, keep] = useState(value);
  if (focused && kept !== value) keep(value);
  return focused ? value : kept;
}
