import { useIsFocused } from 'expo-router';
import { useState } from 'react';

/** A value as it was when the screen was last seen: what changes beneath another is not drawn. */
export function useWhileSeen<T>(value: T): T {
  const focused = useIsFocused();
  const [kept, keep] = useState(value);
  if (focused && kept !== value) keep(value);
  return focused ? value : kept;
}
