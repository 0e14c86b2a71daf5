import { changePieces, movePost, postsOf, removePost, setPanel, settleWall } from '@/core/edit';
import type { PanelKind, Piece } from '@/core/course';
import { familyOf } from '@/core/pieces';
import { Stepper, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { useLayOf } from '../layStore';
import { chosenWall } from '../tools/wallTool';
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

/** A wall's measures, and what is done to its panels and posts. */
export function WallOptions() {
  const { edit, choice } = useEditing();
  const {
    wall: hand,
    stroke,
    post,
    panel,
    onGround,
    set,
  } = useLayOf('wall', 'stroke', 'post', 'panel', 'onGround', 'set');
  const chosen = chosenWall();
  const size = (chosen ?? hand).size ?? familyOf('wall').size;
  const measure = (axis: 0 | 1 | 2) => (value: number) => {
    const next: Piece['size'] = [size[0], size[1], size[2]];
    next[axis] = value;
    if (chosen) {
      edit((course) => changePieces(course, choice, (piece) => (piece.size = next)), 'wall size');
    }
    set({ wall: { ...hand, size: next } });
  };
  const place = chosen && post !== null ? postsOf(chosen)[post] : null;
  const raise = (by: number) => {
    if (!place) return;
    edit(
      (course) => movePost(course, chosen!.id, post!, [place[0], place[1] + by, place[2]]),
      'post',
    );
  };
  return (
    <>
      {stroke.length > 0 && (
        <ToolButton
          icon="check"
          label="End line"
          onPress={() => set({ stroke: [] })}
          testID="wall-end"
        />
      )}
      {chosen && panel ? (
        PANELS.map(({ kind, label, icon }) => (
          <ToolButton
            key={kind}
            icon={icon}
            label={label}
            on={
              (chosen.line!.panels?.find((p) => p.run === panel.run && p.panel === panel.panel)
                ?.kind ?? 'full') === kind
            }
            onPress={() =>
              edit((course) => setPanel(course, chosen.id, panel.run, panel.panel, kind))
            }
            testID={`panel-${kind}`}
          />
        ))
      ) : place ? (
        <>
          <ToolButton icon="arrow-up" label="Raise" onPress={() => raise(0.25)} />
          <ToolButton icon="arrow-down" label="Lower" onPress={() => raise(-0.25)} />
          <ToolButton
            icon="trash-2"
            label="Post"
            danger
            onPress={() => {
              edit((course) => removePost(course, chosen!.id, post!));
              set({ post: null });
            }}
          />
        </>
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
          set({ onGround: !onGround });
          if (chosen && !onGround) edit((course) => settleWall(course, chosen.id));
        }}
        testID="wall-ground"
      />
      <Stepper
        label="Height"
        value={size[1]}
        unit="m"
        step={0.2}
        min={0.3}
        max={20}
        onChange={measure(1)}
      />
      <Stepper
        label="Thick"
        value={size[2]}
        unit="m"
        step={0.05}
        min={0.1}
        max={2}
        onChange={measure(2)}
      />
      <Stepper
        label="Panel"
        value={size[0]}
        unit="m"
        step={0.5}
        min={0.5}
        max={10}
        onChange={measure(0)}
      />
    </>
  );
}
