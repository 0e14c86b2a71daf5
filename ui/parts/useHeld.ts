import { useEffect, useMemo, useRef } from 'react';

/** How long a button is held before it repeats, and how often it then does, ms. */
const [BEFORE, EVERY] = [450, 90];

interface Held {
  readonly onPress: () => void;
  readonly onPressIn: () => void;
  readonly onPressOut: () => void;
}

/**
 * A button that acts once when it is pressed, and again and again while it is held.
 * @param act what it does; the latest one is always taken
 * @param may false once there is nothing more to do: a button held then stops
 */
export function useHeld(act: () => void, may = true): Held {
  const latest = useRef(act);
  const repeated = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (!may) clearTimeout(timer.current);
    return () => clearTimeout(timer.current);
  }, [may]);
  return useMemo(() => {
    const again = () => {
      repeated.current = true;
      latest.current();
      timer.current = setTimeout(again, EVERY);
    };
    return {
      onPressIn: () => {
        repeated.current = false;
        timer.current = setTimeout(again, BEFORE);
      },
      onPressOut: () => clearTimeout(timer.current),
      onPress: () => {
        if (!repeated.current) latest.current();
      },
    };
  }, []);
}
