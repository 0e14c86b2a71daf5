import { useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { usePointerDrag, type PointerPlace } from '../../device/usePointerDrag';
import { useColours } from '../../theme';
import { KNOB, PAD, padPush } from './padPush';

const ARROWS = {
  sides: ['M34 64 L22 74 L34 84', 'M114 64 L126 74 L114 84'],
  stage: ['M34 64 L22 74 L34 84', 'M114 64 L126 74 L114 84', 'M64 114 L74 126 L84 114'],
  all: [
    'M34 64 L22 74 L34 84',
    'M114 64 L126 74 L114 84',
    'M64 34 L74 22 L84 34',
    'M64 114 L74 126 L84 114',
  ],
};

/** A pad that is pushed to its sides, or only left and right. */
export function Pad({
  level,
  size,
  arrows,
  onPush,
}: {
  level: boolean;
  /** Times its usual size. */
  size: number;
  arrows: keyof typeof ARROWS;
  onPush: (right: number, forward: number) => void;
}) {
  const colours = useColours();
  const pad = useRef<View>(null);
  const [knob, setKnob] = useState({ x: 0, y: 0 });
  const push = (at: PointerPlace) => {
    const { knob: to, right, forward } = padPush({ x: at.x / size, y: at.y / size }, level);
    setKnob(to);
    onPush(right, forward);
  };
  const end = () => {
    setKnob({ x: 0, y: 0 });
    onPush(0, 0);
  };
  usePointerDrag(pad, { begin: push, move: push, end });
  return (
    <View
      ref={pad}
      testID="run-pad"
      role="group"
      aria-label="Pad"
      style={{
        width: PAD,
        height: PAD,
        borderRadius: PAD / 2,
        backgroundColor: 'rgba(251,249,244,0.8)',
        borderWidth: 1,
        borderColor: colours.line,
      }}
    >
      <Svg width={PAD} height={PAD} style={{ position: 'absolute' }}>
        {ARROWS[arrows].map((d) => (
          <Path
            key={d}
            d={d}
            stroke="#4A5A60"
            strokeWidth={4}
            fill="none"
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        ))}
      </Svg>
      <View
        style={{
          position: 'absolute',
          left: (PAD - KNOB) / 2 + knob.x,
          top: (PAD - KNOB) / 2 + knob.y,
          width: KNOB,
          height: KNOB,
          borderRadius: KNOB / 2,
          backgroundColor: '#4A5A60',
        }}
      />
    </View>
  );
}
