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
} from '@/core/edit';
import { Stepper, Text } from '../../../parts';
import { useView } from '../../../scene';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../layStore';
import { chosenPlatform, closeOutline, tryOutline } from '../tools/outlineTool';
import { ToolButton } from './ToolButton';

/** What is done to an outline being drawn, and to the corners of one that is laid. */
export function OutlineOptions() {
  const { edit, choice } = useEditing();
  const { stroke, corner, platform, set } = useLayOf('stroke', 'corner', 'platform', 'set');
  const chosen = chosenPlatform();
  if (stroke.length > 0) {
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
          onPress={() => set({ stroke: stroke.slice(0, -1), fault: null })}
        />
        <ToolButton icon="x" label="Drop it" onPress={() => set({ stroke: [], fault: null })} />
        <Text as="small" tint="slate" style={{ maxWidth: 150 }}>
          {stroke.length} {stroke.length === 1 ? 'point' : 'points'}. Tap the first one to close.
        </Text>
      </>
    );
  }
  if (!chosen) {
    const depth = platform.size?.[1] ?? 0.6;
    return (
      <>
        <Text as="small" tint="slate" style={{ maxWidth: 170 }}>
          Tap the corners of a platform one after another. Tap a platform to change it.
        </Text>
        <Stepper
          label="Depth"
          value={depth}
          unit="m"
          step={0.1}
          min={0.1}
          max={20}
          onChange={(value) => set({ platform: { ...platform, size: [3, value, 2.2] } })}
        />
      </>
    );
  }
  const { id, outline } = chosen;
  const rim = corner?.rim ?? 'outer';
  const index = corner?.index ?? 0;
  const at = rim === 'outer' ? outline!.points[index] : outline!.holes?.[rim]?.[index];
  const size = chosen.size ?? [3, 0.6, 2.2];
  return (
    <>
      {corner && at ? (
        <>
          <Stepper
            label="Round"
            value={at.round ?? 0}
            unit="m"
            step={0.25}
            min={0}
            max={20}
            onChange={(value) => tryOutline((c) => roundCorner(c, id, rim, index, value), 'round')}
            testID="corner-round"
          />
          <Stepper
            label="Curve edge"
            value={at.bulge ?? 0}
            step={0.1}
            min={-1}
            max={1}
            onChange={(value) => tryOutline((c) => curveEdge(c, id, rim, index, value), 'curve')}
          />
          <ToolButton
            icon="chevrons-up"
            label="Push out"
            onPress={() => tryOutline((c) => pushEdge(c, id, rim, index, 0.25), 'push')}
          />
          <ToolButton
            icon="chevrons-down"
            label="Push in"
            onPress={() => tryOutline((c) => pushEdge(c, id, rim, index, -0.25), 'push')}
          />
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
              set({ corner: null });
            }}
          />
          {rim !== 'outer' && (
            <ToolButton
              icon="disc"
              label="Fill hole"
              onPress={() => {
                edit((c) => removeHole(c, id, rim));
                set({ corner: null });
              }}
            />
          )}
        </>
      ) : (
        <Text as="small" tint="slate" style={{ maxWidth: 150 }}>
          Drag a corner, or the dot on an edge for a new one. Tap a corner for more.
        </Text>
      )}
      <ToolButton
        icon="circle"
        label="Hole"
        onPress={() =>
          tryOutline((c) => addHole(c, id, inPlane(chosen, useView.getState().target)))
        }
      />
      <Stepper
        label="Depth"
        value={size[1]}
        unit="m"
        step={0.1}
        min={0.1}
        max={20}
        onChange={(value) =>
          edit(
            (course) =>
              changePieces(course, choice, (piece) => (piece.size = [size[0], value, size[2]])),
            'depth',
          )
        }
      />
    </>
  );
}
