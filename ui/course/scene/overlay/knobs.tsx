import { Circle, G, Line, Text as SvgText } from 'react-native-svg';
import { DAY } from '../../../theme';
import { KNOB_OUT } from '../../tools/knobs';
import { UpAndDown, type Pixel } from './marks';

/** A point that is taken hold of by its number. */
export function NumberKnob({ at: [x, y], number, on }: { at: Pixel; number: number; on: boolean }) {
  return (
    <G>
      <Circle
        cx={x}
        cy={y}
        r={12}
        fill={on ? DAY.tide : DAY.card}
        stroke={DAY.tide}
        strokeWidth={3}
      />
      <SvgText
        x={x}
        y={y + 4.5}
        fontSize={12}
        fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
        fill={on ? DAY.card : DAY.ink}
        textAnchor="middle"
      >
        {number}
      </SvgText>
    </G>
  );
}

/** Arrows above a point, by which it is lifted and lowered. */
export function LiftKnob({ at: [x, y] }: { at: Pixel }) {
  const middle = y - KNOB_OUT;
  return (
    <G>
      <Line
        x1={x}
        y1={y}
        x2={x}
        y2={middle}
        stroke={DAY.tide}
        strokeWidth={2}
        strokeDasharray="3 4"
      />
      <UpAndDown at={[x, middle]} tint={DAY.tide} />
    </G>
  );
}

/** A ring beside a point, by which what is there is turned. */
export function TurnKnob({ at: [x, y] }: { at: Pixel }) {
  return (
    <G>
      <Line
        x1={x}
        y1={y}
        x2={x + KNOB_OUT}
        y2={y}
        stroke={DAY.tide}
        strokeWidth={2}
        strokeDasharray="3 4"
      />
      <Circle cx={x + KNOB_OUT} cy={y} r={11} fill={DAY.card} stroke={DAY.tide} strokeWidth={4} />
    </G>
  );
}
