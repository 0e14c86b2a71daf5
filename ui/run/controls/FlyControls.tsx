import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { useView } from '../../scene';
import { SPACE } from '../../theme';
import type { LiveRun } from '../liveRun';
import {
  FLIGHT_ACTS,
  flightSpeed,
  NO_FLIGHT,
  pushedBy,
  type FlightAct,
  type FlightHands,
} from './flight';
import { HoldButton } from './HoldButton';
import { Pad } from './Pad';
import { runActOf } from './runKeys';

const UP = ['M14 34 L26 20 L38 34', 'M14 22 L26 8 L38 22'];
const DOWN = ['M14 18 L26 32 L38 18', 'M14 30 L26 44 L38 30'];

/** What a key does to a flight, if anything. */
function flightActOf(code: string): FlightAct | undefined {
  if (code === 'ShiftLeft' || code === 'ShiftRight') return 'lower';
  const act = runActOf(code);
  return act !== undefined && act in FLIGHT_ACTS ? (act as FlightAct) : undefined;
}

/** Tells the flight that the keys held down ask for, whenever that changes. */
function useFlightKeys(onChange: (keys: FlightHands) => void): void {
  const latest = useRef(onChange);
  useEffect(() => {
    latest.current = onChange;
  });
  useEffect(() => {
    const held = new Set<FlightAct>();
    const update = () => latest.current(pushedBy(held));
    const down = ({ code }: KeyboardEvent) => {
      const act = flightActOf(code);
      if (act) held.add(act);
      update();
    };
    const up = ({ code }: KeyboardEvent) => {
      const act = flightActOf(code);
      if (act) held.delete(act);
      update();
    };
    const blur = () => {
      held.clear();
      update();
    };
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', blur);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', blur);
    };
  }, []);
}

/** Makes the runner fly while they are shown: a pad, higher and lower; keys do the same. */
export function FlyControls({
  live,
  sideOn,
}: {
  readonly live: LiveRun;
  readonly sideOn: boolean;
}) {
  const hands = useRef({ touch: NO_FLIGHT, keys: NO_FLIGHT });
  useEffect(() => {
    const speed = () => {
      const { touch, keys } = hands.current;
      const both = {
        right: touch.right + keys.right,
        forward: touch.forward + keys.forward,
        up: touch.up + keys.up,
      };
      return flightSpeed(both, useView.getState().yaw, sideOn);
    };
    live.setFlight(speed);
    return () => live.setFlight(null);
  }, [live, sideOn]);
  useFlightKeys((keys) => (hands.current.keys = keys));
  const push = (change: Partial<FlightHands>) => {
    hands.current.touch = { ...hands.current.touch, ...change };
  };
  return (
    <View
      pointerEvents="box-none"
      testID="fly-controls"
      style={{
        flexDirection: 'row',
        justifyContent: 'space-between',
        alignItems: 'flex-end',
        padding: SPACE.l,
        paddingBottom: SPACE.xl,
      }}
    >
      <Pad
        level={sideOn}
        size={1}
        arrows={sideOn ? 'sides' : 'all'}
        onPush={(right, forward) => push({ right, forward })}
      />
      <View pointerEvents="box-none" style={{ gap: SPACE.m }}>
        <HoldButton
          name="Higher"
          testID="fly-higher"
          size={84}
          mark={UP}
          onHold={(held) => push({ up: held ? 1 : 0 })}
        />
        <HoldButton
          name="Lower"
          testID="fly-lower"
          size={84}
          mark={DOWN}
          plain
          onHold={(held) => push({ up: held ? -1 : 0 })}
        />
      </View>
    </View>
  );
}
