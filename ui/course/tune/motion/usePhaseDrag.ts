import { useRef } from 'react';
import type { GestureResponderEvent, ViewProps } from 'react-native';
import { arrowKeys } from '../../../device/arrowKeys';

/**
 * Has a row be dragged, or moved by arrow keys, along a clock it shows.
 * @param seconds what the whole row covers
 * @param onShift has the mover be so many seconds earlier
 * @returns what a view is given
 */
export function usePhaseDrag(seconds: number, onShift: (seconds: number) => void): ViewProps {
  const width = useRef(300);
  const last = useRef<number | null>(null);
  // A step at a time: a tenth of a second, or finer on a short row.
  const step = Math.min(0.1, seconds / 40);
  const move = ({ nativeEvent }: GestureResponderEvent) => {
    const { pageX } = nativeEvent;
    if (last.current === null) return;
    const steps = Math.round(((pageX - last.current) / width.current) * (seconds / step));
    if (steps === 0) return;
    last.current += (steps * step * width.current) / seconds;
    onShift(-steps * step);
  };
  return {
    ...arrowKeys((right) => {
      if (right === 0) return false;
      onShift(-right * step);
    }),
    accessibilityRole: 'adjustable',
    onLayout: ({ nativeEvent }) => (width.current = nativeEvent.layout.width),
    onStartShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: ({ nativeEvent }) => (last.current = nativeEvent.pageX),
    onResponderMove: move,
    onResponderRelease: () => (last.current = null),
  };
}
