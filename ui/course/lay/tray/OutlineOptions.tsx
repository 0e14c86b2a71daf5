import {
  addHole,
  changePieces,
  curveEdge,
  inPlane,
  pushEdge,
  removeCorner,
  removeHole,
  roundCorner,
  splitEdge,
  type Rim,
} from '@/core/edit';
import type { Piece } from '@/core/course';
import { Stepper, Text } from '../../../parts';
import { useView } from '../../../scene';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../../open/laying';
import { chosenPlatform, closeOutline, tryOutline } from '../../tools/outlineTool';
import { ToolButton } from './ToolButton';

/** What is done to an outline being drawn, and to the corners of one that is laid. */
export function OutlineOptions() {
  useEditing();
  const { stroke } = useLayOf('stroke');
  const chosen = chosenPlatform();
  if (stroke.length > 0) return <Drawing />;
  return chosen ? <Laid piece={chosen} /> : <Waiting />;
}

/** Corners have been set and the outline is not closed. */
function Drawing() {
  const { stroke, drawStroke, dropStroke } = useLayOf('stroke', 'drawStroke', 'dropStroke');
  return (
    <>
      <ToolButton
        icon="check"
        label="Close"
        disabled={stroke.length < 3}
        onPress={closeOutline}
        testID="outline-close"
      />
      <ToolButton
        icon="corner-up-left"
        label="Back"
        onPress={() => drawStroke(stroke.slice(0, -1))}
      />
      <ToolButton icon="x" label="Drop it" onPress={() => dropStroke()} />
      <Text as="small" tint="slate" style={{ maxWidth: 150 }}>
        {stroke.length} {stroke.length === 1 ? 'point' : 'points'}. Tap the first one to close.
      </Text>
    </>
  );
}

/** Nothing is drawn and no platform chosen. */
function Waiting() {
  const { platform, setPlatform } = useLayOf('platform', 'setPlatform');
  return (
    <>
      <Text as="small" tint="slate" style={{ maxWidth: 170 }}>
        Tap the corners of a platform one after another. Tap a platform to change it.
      </Text>
      <Depth
        value={platform.size?.[1] ?? 0.6}
        onChange={(value) => setPlatform({ ...platform, size: [3, value, 2.2] })}
      />
    </>
  );
}

function Laid({ piece }: { piece: Piece }) {
  const { edit, choice } = useEditing();
  const { corner } = useLayOf('corner');
  const { id, outline } = piece;
  const size = piece.size ?? [3, 0.6, 2.2];
  const points =
    corner && (corner.rim === 'outer' ? outline!.points : outline!.holes?.[corner.rim]);
  const at = corner && points?.[corner.index];
  return (
    <>
      {at ? (
        <CornerOptions id={id} {...corner} round={at.round ?? 0} bulge={at.bulge ?? 0} />
      ) : (
        <Text as="small" tint="slate" style={{ maxWidth: 150 }}>
          Drag a corner, or the dot on an edge for a new one. Tap a corner for more.
        </Text>
      )}
      <ToolButton
        icon="circle"
        label="Hole"
        onPress={() => tryOutline((c) => addHole(c, id, inPlane(piece, useView.getState().target)))}
      />
      <Depth
        value={size[1]}
        onChange={(value) =>
          edit(
            (course) =>
              changePieces(course, choice, (one) => {
                one.size = [size[0], value, size[2]];
              }),
            'depth',
          )
        }
      />
    </>
  );
}

function Depth({ value, onChange }: { value: number; onChange: (value: number) => void }) {
  return (
    <Stepper
      label="Depth"
      value={value}
      unit="m"
      step={0.1}
      min={0.1}
      max={20}
      onChange={onChange}
    />
  );
}

interface CornerProps {
  /** The platform. */
  readonly id: string;
  readonly rim: Rim;
  readonly index: number;
  readonly round: number;
  readonly bulge: number;
}

/** What is done to the corner that was touched, and to the edge after it. */
function CornerOptions({ id, rim, index, round, bulge }: CornerProps) {
  const { edit } = useEditing();
  const { chooseCorner } = useLayOf('chooseCorner');
  const push = (by: number) => () => tryOutline((c) => pushEdge(c, id, rim, index, by), 'push');
  return (
    <>
      <Stepper
        label="Round"
        value={round}
        unit="m"
        step={0.25}
        min={0}
        max={20}
        onChange={(value) => tryOutline((c) => roundCorner(c, id, rim, index, value), 'round')}
        testID="corner-round"
      />
      <Stepper
        label="Curve edge"
        value={bulge}
        step={0.1}
        min={-1}
        max={1}
        onChange={(value) => tryOutline((c) => curveEdge(c, id, rim, index, value), 'curve')}
      />
      <ToolButton icon="chevrons-up" label="Push out" onPress={push(0.25)} />
      <ToolButton icon="chevrons-down" label="Push in" onPress={push(-0.25)} />
      <ToolButton
        icon="plus"
        label="Split"
        onPress={() => tryOutline((c) => splitEdge(c, id, rim, index))}
      />
      <ToolButton
        icon="trash-2"
        label="Point"
        danger
        onPress={() => {
          tryOutline((c) => removeCorner(c, id, rim, index));
          chooseCorner(null);
        }}
      />
      {rim !== 'outer' && (
        <ToolButton
          icon="disc"
          label="Fill hole"
          onPress={() => {
            edit((c) => removeHole(c, id, rim));
            chooseCorner(null);
          }}
        />
      )}
    </>
  );
}
