import { useRef, type ReactNode } from 'react';
import { View } from 'react-native';
import { arrowKeys } from '../../device/arrowKeys';
import { usePointerDrag, type PointerPlace } from '../../device/usePointerDrag';
import { useColours } from '../../theme';
import { movedBy, type Offset } from './touchLayout';

/** What an arrow key moves it by, pixels. */
const STEP = 8;

interface UnderThumbProps {
  readonly onLeft: boolean;
  readonly size: number;
  readonly offset: Offset;
  /** Where it is to be; given while it is being arranged, and then nothing in it works. */
  readonly onMove?: (offset: Offset) => void;
  readonly name: string;
  readonly testID: string;
  readonly children: ReactNode;
}

/** Part of the touch controls, as large and where somebody has put it. */
export function UnderThumb(props: UnderThumbProps) {
  const { onLeft, size, offset, onMove, name, testID, children } = props;
  return (
    <View
      pointerEvents="box-none"
      testID={testID}
      style={{
        transformOrigin: onLeft ? 'bottom left' : 'bottom right',
        transform: [
          { translateX: onLeft ? offset.inward : -offset.inward },
          { translateY: -offset.up },
          { scale: size },
        ],
      }}
    >
      {children}
      {onMove && <Handle {...{ onLeft, offset, onMove, name }} />}
    </View>
  );
}

/** Covers what is arranged, and takes it along; arrow keys move it as well. */
function Handle({
  onLeft,
  offset,
  onMove,
  name,
}: Required<Pick<UnderThumbProps, 'onLeft' | 'offset' | 'onMove' | 'name'>>) {
  const colours = useColours();
  const cover = useRef<View>(null);
  const held = useRef<PointerPlace | null>(null);
  usePointerDrag(cover, {
    begin: (at) => void (held.current = at),
    // It goes along, so that the finger stays where it was on it.
    move: (at) => {
      const from = held.current;
      if (from) onMove(movedBy(offset, at.x - from.x, at.y - from.y, onLeft));
    },
    end: () => (held.current = null),
  });
  return (
    <View
      {...arrowKeys((right, down) => onMove(movedBy(offset, STEP * right, STEP * down, onLeft)))}
      ref={cover}
      role="button"
      aria-label={`Place of the ${name}`}
      style={{
        position: 'absolute',
        inset: -6,
        borderRadius: 24,
        borderWidth: 3,
        borderStyle: 'dashed',
        borderColor: colours.moss,
      }}
    />
  );
}
