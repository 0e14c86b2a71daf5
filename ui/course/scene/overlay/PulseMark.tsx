import { useEffect, useState } from 'react';
import { Circle } from 'react-native-svg';
import { pulsePart, usePulse, type Pulse } from '../../open/pulse';
import { MOSS, type See } from './marks';

/** Radius a ring grows to, pixels. */
const WIDE = 46;

/** Rings that run outwards from what has just landed; two where it joined an end. */
export function PulseMark({ see }: { see: See }) {
  const pulse = usePulse((s) => s.pulse);
  return pulse ? <Rings key={pulse.key} pulse={pulse} see={see} /> : null;
}

function Rings({ pulse, see }: { pulse: Pulse; see: See }) {
  const [part, setPart] = useState(0);
  useEffect(() => {
    const began = performance.now();
    let frame = requestAnimationFrame(function next(now) {
      const part = pulsePart(now - began);
      setPart(part);
      if (part < 1) frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, []);
  const at = see(pulse.at);
  if (!at) return null;
  const rings = pulse.joined ? [1, 0.6] : [1];
  return (
    <>
      {rings.map((size) => (
        <Circle
          key={size}
          cx={at[0]}
          cy={at[1]}
          r={8 + WIDE * size * Math.sqrt(part)}
          fill="none"
          stroke={MOSS}
          strokeWidth={3}
          opacity={1 - part}
        />
      ))}
    </>
  );
}
