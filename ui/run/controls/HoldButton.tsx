import { useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { usePointerDrag } from '../../device/usePointerDrag';

/** A round button that works as long as it is held. */
export function HoldButton({
  name,
  testID,
  size,
  mark,
  plain,
  onHold,
}: {
  name: string;
  testID: string;
  size: number;
  mark: readonly string[];
  plain?: boolean;
  onHold: (held: boolean) => void;
}) {
  const button = useRef<View>(null);
  const [pressed, setPressed] = useState(false);
  const hold = (now: boolean) => {
    setPressed(now);
    onHold(now);
  };
  usePointerDrag(button, { begin: () => hold(true), end: () => hold(false) });
  const half = size * 0.46;
  const fill = plain
    ? pressed
      ? '#D8D0C2'
      : 'rgba(251,249,244,0.88)'
    : pressed
      ? '#2E5440'
      : '#3F6B52';
  return (
    <View
      ref={button}
      testID={testID}
      role="button"
      aria-label={name}
      style={{
        width: size,
        height: size,
        borderRadius: size / 2,
        alignItems: 'center',
        justifyContent: 'center',
        backgroundColor: fill,
        borderWidth: 1,
        borderColor: '#1F2A2E',
      }}
    >
      <Svg width={half} height={half} viewBox="0 0 52 52">
        {mark.map((d) => (
          <Path
            key={d}
            d={d}
            stroke={plain ? '#1F2A2E' : '#FFFFFF'}
            strokeWidth={5}
            fill="none"
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        ))}
      </Svg>
    </View>
  );
}
