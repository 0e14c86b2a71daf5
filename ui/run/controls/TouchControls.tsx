import { useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import type { RunnerKind } from '@/core/course';
import { usePointerDrag, type PointerPlace } from '../../device/usePointerDrag';
import { SPACE, useColours } from '../../theme';
import { RUNNER_ROWS } from '../runners';
import { KNOB, PAD, padPush } from './padPush';
import { type Offset, useTouchLayout, useTouchLayouts } from './touchLayout';
import { UnderThumb } from './UnderThumb';
import type { Controls } from './useControls';

/** The pad under one thumb and the buttons under the other, as they were arranged. */
export function TouchControls({
  kind,
  controls,
  sideOn,
  hidden,
  arranging,
}: {
  kind: RunnerKind;
  controls: Controls;
  sideOn: boolean;
  hidden: boolean;
  /** Whether they are being put where they are to lie. */
  arranging: boolean;
}) {
  const pedals = useRef({ drive: false, brake: false, steer: 0 });
  // Both pedals at once draw the hand brake: the cart drifts and goes on driving.
  const pedal = (change: Partial<typeof pedals.current>) => {
    Object.assign(pedals.current, change);
    const { drive, brake, steer } = pedals.current;
    controls.push(steer, drive ? 1 : brake ? -1 : 0);
    controls.press(drive && brake);
  };
  const { leftHanded, size, pad, buttons } = useTouchLayout(kind);
  const arrange = (part: 'pad' | 'buttons') =>
    arranging
      ? (offset: Offset) => useTouchLayouts.getState().set(kind, { [part]: offset })
      : undefined;
  const worked = RUNNER_ROWS[kind].controls;
  const steers = worked.kind === 'pedals';
  return (
    <View
      pointerEvents="box-none"
      style={{
        flexDirection: leftHanded ? 'row-reverse' : 'row',
        justifyContent: 'space-between',
        alignItems: 'flex-end',
        padding: SPACE.l,
        paddingBottom: SPACE.xl,
        opacity: hidden ? 0 : 1,
      }}
    >
      <UnderThumb
        onLeft={!leftHanded}
        {...{ size, offset: pad, onMove: arrange('pad'), name: 'pad', testID: 'under-pad' }}
      >
        <Pad
          level={steers}
          size={size}
          arrows={steers ? 'sides' : sideOn ? 'stage' : 'all'}
          onPush={(right, forward) =>
            steers ? pedal({ steer: right }) : controls.push(right, forward)
          }
        />
      </UnderThumb>
      <UnderThumb
        onLeft={leftHanded}
        {...{ size, offset: buttons, onMove: arrange('buttons'), name: 'buttons' }}
        testID="under-buttons"
      >
        {steers ? (
          <View pointerEvents="box-none" style={{ alignItems: 'flex-end', gap: SPACE.m }}>
            <HoldButton
              name={worked.brake.name}
              testID="run-brake"
              size={76}
              mark={worked.brake.mark}
              plain
              onHold={(brake) => pedal({ brake })}
            />
            <HoldButton
              name={worked.drive.name}
              testID="run-drive"
              size={112}
              mark={worked.drive.mark}
              onHold={(drive) => pedal({ drive })}
            />
          </View>
        ) : (
          worked.kind === 'pad' && (
            <HoldButton
              {...worked.button}
              testID="run-jump"
              size={112}
              onHold={(held) => controls.press(held)}
            />
          )
        )}
      </UnderThumb>
    </View>
  );
}

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
function Pad({
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

/** A round button that works as long as it is held. */
function HoldButton({
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
