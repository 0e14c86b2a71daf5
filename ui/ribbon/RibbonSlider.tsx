import { useRef, type PropsWithChildren } from 'react';
import { View } from 'react-native';
import { usePointerDrag, type PointerPlace } from '../device/usePointerDrag';
import { useColours } from '../theme';
import { HEIGHT } from './scales';

export type RibbonSliderProps = PropsWithChildren<{
  readonly label: string;
  /** Metres along the way of what is shown now. */
  readonly at: number;
  readonly length: number;
  /** Goes to so many metres along the way. */
  readonly onGo: (along: number) => void;
  /** A finger is so many pixels from the left. */
  readonly onTouch: (px: number) => void;
  readonly onWidth: (width: number) => void;
}>;

/** A course along a way, touched and worked by keys. */
export function RibbonSlider({
  label,
  at,
  length,
  onGo,
  onTouch,
  onWidth,
  children,
}: RibbonSliderProps) {
  const colours = useColours();
  const host = useRef<View>(null);
  const touch = ({ x }: PointerPlace) => onTouch(x);
  usePointerDrag(host, { begin: touch, move: touch });
  return (
    <View
      ref={host}
      testID="ribbon"
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={Math.round(length)}
      aria-valuenow={Math.round(at)}
      aria-valuetext={`${Math.round(at)} of ${Math.round(length)} metres`}
      {...({
        onKeyDown: (event: { key: string; preventDefault: () => void }) => {
          const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          onGo(at + by * Math.max(1, length / 40));
        },
      } as object)}
      onLayout={(event) => onWidth(event.nativeEvent.layout.width)}
      style={{
        height: HEIGHT,
        borderTopWidth: 1,
        borderColor: colours.line,
        backgroundColor: colours.paper,
      }}
    >
      {children}
    </View>
  );
}
