import { chosenOf, setSymmetry, unlinkPieces, exemptPieces } from '@/core/edit';
import type { SymmetryKind } from '@/core/course';
import { middle, unionBounds } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { Stepper } from '../../../parts';
import { useView } from '../../../scene';
import { useEditing } from '../../../state/panelSnapshot';
import { ToolButton } from './ToolButton';

const KINDS: readonly {
  kind: SymmetryKind;
  label: string;
  icon: 'columns' | 'server' | 'repeat' | 'triangle' | 'plus';
}[] = [
  { kind: 'mirror-x', label: 'Mirror x', icon: 'columns' },
  { kind: 'mirror-z', label: 'Mirror z', icon: 'server' },
  { kind: 'turn-2', label: 'Turn 2', icon: 'repeat' },
  { kind: 'turn-3', label: 'Turn 3', icon: 'triangle' },
  { kind: 'turn-4', label: 'Turn 4', icon: 'plus' },
];

/** Symmetry while building, about an axis that can be set; linked copies follow each other. */
export function SymmetryOptions() {
  const { course, choice, edit } = useEditing();
  const { symmetry } = course;
  const here = (): [number, number] => {
    const chosen = chosenOf(course, choice);
    const [x, , z] =
      chosen.length > 0 ? middle(unionBounds(chosen.map(pieceBounds))) : useView.getState().target;
    return [Math.round(x * 2) / 2, Math.round(z * 2) / 2];
  };
  const move = (axis: 0 | 1) => (value: number) => {
    const at: [number, number] = [symmetry!.at[0], symmetry!.at[1]];
    at[axis] = value;
    edit((before) => setSymmetry(before, { ...symmetry!, at }), 'axis');
  };
  const linked = course.pieces.some(({ id, twin }) => choice.has(id) && twin);
  return (
    <>
      <ToolButton
        icon="x"
        label="Off"
        on={!symmetry}
        onPress={() => edit((before) => setSymmetry(before, null))}
        testID="symmetry-off"
      />
      {KINDS.map(({ kind, label, icon }) => (
        <ToolButton
          key={kind}
          icon={icon}
          label={label}
          on={symmetry?.kind === kind}
          onPress={() =>
            edit((before) => setSymmetry(before, { kind, at: symmetry?.at ?? here() }))
          }
          testID={`symmetry-${kind}`}
        />
      ))}
      {symmetry && (
        <>
          <Stepper
            label="Axis x"
            value={symmetry.at[0]}
            unit="m"
            step={0.5}
            min={-1000}
            max={1000}
            onChange={move(0)}
          />
          <Stepper
            label="Axis z"
            value={symmetry.at[1]}
            unit="m"
            step={0.5}
            min={-1000}
            max={1000}
            onChange={move(1)}
          />
          <ToolButton
            icon="crosshair"
            label="Here"
            onPress={() => edit((before) => setSymmetry(before, { ...symmetry, at: here() }))}
          />
          <ToolButton
            icon="user"
            label="Exempt"
            disabled={!linked}
            onPress={() => edit((before) => exemptPieces(before, choice))}
            testID="symmetry-exempt"
          />
          <ToolButton
            icon="scissors"
            label="Unlink"
            disabled={!linked}
            onPress={() => edit((before) => unlinkPieces(before, choice))}
          />
        </>
      )}
    </>
  );
}
