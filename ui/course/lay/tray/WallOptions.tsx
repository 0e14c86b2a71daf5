import { changePieces, movePost, postsOf, removePost, setPanel, settleWall } from '@/core/edit';
import type { PanelKind, Piece } from '@/core/course';
import { familyOf } from '@/core/pieces';
import { Stepper, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../../open/laying';
import { chosenWall } from '../../tools/wallTool';
import { ToolButton } from './ToolButton';

const PANELS: readonly {
  kind: PanelKind | 'full';
  label: string;
  icon: 'square' | 'log-in' | 'sidebar' | 'minus' | 'x';
}[] = [
  { kind: 'full', label: 'Full', icon: 'square' },
  { kind: 'door', label: 'Doorway', icon: 'log-in' },
  { kind: 'window', label: 'Window', icon: 'sidebar' },
  { kind: 'half', label: 'Half', icon: 'minus' },
  { kind: 'out', label: 'Out', icon: 'x' },
];

const MEASURES = [
  { label: 'Height', axis: 1, step: 0.2, min: 0.3, max: 20 },
  { label: 'Thick', axis: 2, step: 0.05, min: 0.1, max: 2 },
  { label: 'Panel', axis: 0, step: 0.5, min: 0.5, max: 10 },
] as const;

/** A wall's measures, and what is done to its panels and posts. */
export function WallOptions() {
  const { edit } = useEditing();
  const { stroke, post, panel, onGround, drawStroke, toggleOnGround } = useLayOf(
    'stroke',
    'post',
    'panel',
    'onGround',
    'drawStroke',
    'toggleOnGround',
  );
  const chosen = chosenWall();
  return (
    <>
      {stroke.length > 0 && (
        <ToolButton
          icon="check"
          label="End line"
          onPress={() => drawStroke([])}
          testID="wall-end"
        />
      )}
      {chosen && panel ? (
        <PanelKinds wall={chosen} {...panel} />
      ) : chosen && post !== null ? (
        <PostOptions wall={chosen} post={post} />
      ) : (
        stroke.length === 0 && (
          <Text as="small" tint="slate" style={{ maxWidth: 148 }}>
            {chosen
              ? 'Drag a post, or tap a panel to change it.'
              : 'Drag for a wall, or tap post after post. Tap a wall to change it.'}
          </Text>
        )
      )}
      <ToolButton
        icon="trending-up"
        label="On ground"
        on={onGround}
        onPress={() => {
          toggleOnGround();
          if (chosen && !onGround) edit((course) => settleWall(course, chosen.id));
        }}
        testID="wall-ground"
      />
      <Measures chosen={chosen} />
    </>
  );
}

/** What the touched panel is. */
function PanelKinds({ wall, run, panel }: { wall: Piece; run: number; panel: number }) {
  const { edit } = useEditing();
  const own = wall.line!.panels?.find((one) => one.run === run && one.panel === panel);
  return PANELS.map(({ kind, label, icon }) => (
    <ToolButton
      key={kind}
      icon={icon}
      label={label}
      on={(own?.kind ?? 'full') === kind}
      onPress={() => edit((course) => setPanel(course, wall.id, run, panel, kind))}
      testID={`panel-${kind}`}
    />
  ));
}

function PostOptions({ wall, post }: { wall: Piece; post: number }) {
  const { edit } = useEditing();
  const { choosePost } = useLayOf('choosePost');
  const [x, y, z] = postsOf(wall)[post];
  const raise = (by: number) => () =>
    edit((course) => movePost(course, wall.id, post, [x, y + by, z]), 'post');
  return (
    <>
      <ToolButton icon="arrow-up" label="Raise" onPress={raise(0.25)} />
      <ToolButton icon="arrow-down" label="Lower" onPress={raise(-0.25)} />
      <ToolButton
        icon="trash-2"
        label="Post"
        danger
        onPress={() => {
          edit((course) => removePost(course, wall.id, post));
          choosePost(null);
        }}
      />
    </>
  );
}

/** Measures of the chosen wall, and of the next that is drawn. */
function Measures({ chosen }: { chosen: Piece | null }) {
  const { edit, choice } = useEditing();
  const { wall: hand, setWall } = useLayOf('wall', 'setWall');
  const size = (chosen ?? hand).size ?? familyOf('wall').size;
  const measure = (axis: 0 | 1 | 2, value: number) => {
    const next: Piece['size'] = [size[0], size[1], size[2]];
    next[axis] = value;
    if (chosen) {
      edit(
        (course) =>
          changePieces(course, choice, (piece) => {
            piece.size = next;
          }),
        'wall size',
      );
    }
    setWall({ ...hand, size: next });
  };
  return MEASURES.map(({ label, axis, step, min, max }) => (
    <Stepper
      key={label}
      label={label}
      value={size[axis]}
      unit="m"
      step={step}
      min={min}
      max={max}
      onChange={(value) => measure(axis, value)}
    />
  ));
}
