import { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { chosenOf } from '@/core/edit';
import { pixelOf, useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLiveOrSnapshot, usePanelSnapshot } from '../../../state/panelSnapshot';
import { useLayOf } from '../../open/laying';
import { handlesOf, type Handle } from '../../tools/pieces';
import { useTune } from '../../open/tuneStore';
import { MOSS, PAPER, UpAndDown } from './marks';

const AXIS_NAMES = ['x', 'y', 'z'];

/** The handles; within a drag only the one that is held, as then what is dragged is looked at. */
export function Handles() {
  const inHand = useCourse((s) => s.inHand);
  const { tool, held } = useLayOf('tool', 'held');
  const carrying = usePanelSnapshot((s) => s.carrying);
  const drawing = useTune((s) => s.drawingPath || s.posing !== null || s.picking !== null);
  if (inHand || drawing || tool !== 'pieces' || (carrying && !held)) return null;
  return <Knobs only={carrying ? held : null} />;
}

function Knobs({ only }: { only: Pick<Handle, 'axis' | 'side' | 'edge'> | null }) {
  const view = useView();
  const chosen = useLiveOrSnapshot((s) => chosenOf(s.course, s.choice));
  const { handles: mode, ownAxes } = useLayOf('handles', 'ownAxes');
  const all = handlesOf(chosen, mode, ownAxes, view).filter(
    ({ axis, side, edge }) =>
      !only || (axis === only.axis && side === only.side && edge === only.edge),
  );
  return (
    <>
      {all.map((handle) => {
        const middle = pixelOf(view, handle.centre);
        return (
          <G key={handle.edge ?? `${handle.axis} ${handle.side}`}>
            {middle && mode !== 'stretch' && mode !== 'slope' && (
              <Line
                x1={middle[0]}
                y1={middle[1]}
                x2={handle.pixel[0]}
                y2={handle.pixel[1]}
                stroke={MOSS}
                strokeWidth={2}
                strokeDasharray={mode === 'turn' ? '3 5' : undefined}
                opacity={0.75}
              />
            )}
            <Knob handle={handle} />
          </G>
        );
      })}
    </>
  );
}

/** A knob as its work is: a disc that moves, a ring that turns, a square that stretches, arrows that pull. */
function Knob({ handle: { mode, axis, pixel } }: { handle: Handle }) {
  const [x, y] = pixel;
  if (mode === 'slope') return <UpAndDown at={pixel} tint={MOSS} />;
  return (
    <G>
      {mode === 'stretch' ? (
        <Rect
          x={x - 9}
          y={y - 9}
          width={18}
          height={18}
          rx={3}
          fill={PAPER}
          stroke={MOSS}
          strokeWidth={2.5}
        />
      ) : (
        <Circle
          cx={x}
          cy={y}
          r={mode === 'turn' ? 11 : 12}
          fill={mode === 'turn' ? PAPER : MOSS}
          stroke={mode === 'turn' ? MOSS : PAPER}
          strokeWidth={mode === 'turn' ? 4 : 2}
        />
      )}
      <SvgText
        x={x}
        y={y + 4.5}
        fontSize={12}
        fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
        fill={mode === 'move' ? PAPER : MOSS}
        textAnchor="middle"
      >
        {AXIS_NAMES[axis]}
      </SvgText>
    </G>
  );
}
