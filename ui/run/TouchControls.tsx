import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { SPACE, useColours } from '../theme';
import type { Controls } from './useControls';

const PAD = 148;
const KNOB = 62;
const JUMP = 112;

/** The pad under the left thumb and the jump button under the right. */
export function TouchControls({
  controls,
  sideOn,
  hidden,
}: {
  controls: Controls;
  sideOn: boolean;
  hidden: boolean;
}) {
  const colours = useColours();
  const pad = useRef<View>(null);
  const jump = useRef<View>(null);
  const [knob, setKnob] = useState({ x: 0, y: 0 });
  const [pressed, setPressed] = useState(false);

  useHold(pad, (at) => {
    if (!at) {
      setKnob({ x: 0, y: 0 });
      controls.push(0, 0);
      return;
    }
    const reach = (PAD - KNOB) / 2;
    const [dx, dy] = [at.x - PAD / 2, sideOn ? 0 : at.y - PAD / 2];
    const l = Math.hypot(dx, dy);
    const k = l > reach ? reach / l : 1;
    setKnob({ x: dx * k, y: dy * k });
    // The middle of the pad is dead, so that a resting thumb stands still.
    const push = l < 10 ? 0 : Math.min(1, l / (reach * 0.8)) / l;
    controls.push(dx * push, -dy * push);
  });
  useHold(jump, (at) => {
    setPressed(!!at);
    controls.press(!!at);
  });

  const arrows = sideOn
    ? ['M34 64 L22 74 L34 84', 'M114 64 L126 74 L114 84']
    : [
        'M34 64 L22 74 L34 84',
        'M114 64 L126 74 L114 84',
        'M64 34 L74 22 L84 34',
        'M64 114 L74 126 L84 114',
      ];
  return (
    <View
      pointerEvents="box-none"
      style={{
        flexDirection: 'row',
        justifyContent: 'space-between',
        alignItems: 'center',
        padding: SPACE.l,
        paddingBottom: SPACE.xl,
        opacity: hidden ? 0 : 1,
      }}
    >
      <View
        ref={pad}
        testID="run-pad"
        accessibilityLabel="Pad"
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
          {arrows.map((d) => (
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
      <View
        ref={jump}
        testID="run-jump"
        accessibilityLabel="Jump"
        style={{
          width: JUMP,
          height: JUMP,
          borderRadius: JUMP / 2,
          alignItems: 'center',
          justifyContent: 'center',
          backgroundColor: pressed ? '#2E5440' : '#3F6B52',
          borderWidth: 1,
          borderColor: '#1F2A2E',
        }}
      >
        <Svg width={52} height={52} viewBox="0 0 52 52">
          <Path
            d="M8 42 C 12 14, 40 14, 44 42"
            stroke="#FFFFFF"
            strokeWidth={5}
            fill="none"
            strokeLinecap="round"
          />
          <Path
            d="M26 30 V10 M17 18 L26 9 L35 18"
            stroke="#FFFFFF"
            strokeWidth={5}
            fill="none"
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        </Svg>
      </View>
    </View>
  );
}

/** Follows one finger held on something: its place within it, then null when it is let go. */
function useHold(
  host: React.RefObject<View | null>,
  act: (at: { x: number; y: number } | null) => void,
): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    Object.assign(element.style, { touchAction: 'none', userSelect: 'none' });
    let held: number | null = null;
    const tell = (event: PointerEvent) => {
      const frame = element.getBoundingClientRect();
      latest.current({ x: event.clientX - frame.left, y: event.clientY - frame.top });
    };
    const down = (event: PointerEvent) => {
      held = event.pointerId;
      element.setPointerCapture(held);
      tell(event);
    };
    const move = (event: PointerEvent) => {
      if (event.pointerId === held) tell(event);
    };
    const up = (event: PointerEvent) => {
      if (event.pointerId !== held) return;
      held = null;
      latest.current(null);
    };
    // Else lifting the finger would also click on whatever has come up under it in the meantime.
    const noClick = (event: Event) => event.preventDefault();
    element.addEventListener('touchstart', noClick, { passive: false });
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    return () => {
      element.removeEventListener('touchstart', noClick);
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
    };
  }, [host]);
}
