import { View } from 'react-native';
import { changeMotion } from '@/core/edit';
import type { Piece, PosesMotion } from '@/core/course';
import { Button, Chip, Choices, NumberField, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { Flow } from '../../parts/Section';
import { endPosing, showPose } from '../../open/preview/showPose';
import { Triple } from '../figures/Triple';
import { useTuneOf } from '../../open/tuneStore';

type OnePose = PosesMotion['poses'][number];

interface PosesProps {
  readonly piece: Piece;
  readonly motion: PosesMotion;
  /** Which of the piece's motions it is. */
  readonly index: number;
}

/** Timed poses: places, turns and sizes the piece goes through. */
export function PosesOptions({ piece, motion, index }: PosesProps) {
  const { choice, edit } = useEditing();
  const { posing, posed } = useTuneOf('posing', 'posed');
  const { poses } = motion;
  const at = Math.min(posing ?? posed, poses.length - 1);
  const change = (to: Partial<Record<keyof PosesMotion, unknown>>, merge?: string) =>
    edit((now) => changeMotion(now, choice, index, to), merge);
  return (
    <View style={{ gap: SPACE.s }}>
      <PoseTabs
        piece={piece}
        count={poses.length}
        at={at}
        onMore={() => change({ poses: [...poses, { ...poses[at] }] })}
      />
      <PoseOfScene piece={piece} at={at} />
      <PoseFigures
        pose={poses[at]}
        at={at}
        onChange={(part, merge) =>
          change({ poses: poses.map((one, i) => (i === at ? { ...one, ...part } : one)) }, merge)
        }
      />
      <Choices
        label="At the last"
        value={motion.after ?? 'back'}
        options={[
          { value: 'back', label: 'Back again' },
          { value: 'round', label: 'On to the first' },
          { value: 'once', label: 'Stays there' },
        ]}
        onChange={(after) => change({ after: after === 'back' ? undefined : after })}
      />
      {poses.length > 1 && (
        <Button
          title={`Take pose ${at + 1} away`}
          icon="trash-2"
          onPress={() => change({ poses: poses.filter((_, i) => i !== at) })}
        />
      )}
    </View>
  );
}

interface TabsProps {
  readonly piece: Piece;
  readonly count: number;
  readonly at: number;
  readonly onMore: () => void;
}

function PoseTabs({ piece, count, at, onMore }: TabsProps) {
  const { posing, set } = useTuneOf('posing', 'set');
  const open = (pose: number) => {
    set({ posed: pose });
    if (posing !== null) showPose(piece, pose);
  };
  return (
    <Flow>
      {Array.from({ length: count }, (_, i) => (
        <Chip key={i} role="tab" label={`Pose ${i + 1}`} on={i === at} onPress={() => open(i)} />
      ))}
      <Chip
        role="tab"
        label="One more"
        on={false}
        onPress={() => {
          onMore();
          open(count);
        }}
      />
    </Flow>
  );
}

/** A pose is taken from where its knob is dragged to in the scene. */
function PoseOfScene({ piece, at }: { piece: Piece; at: number }) {
  const { posing, set } = useTuneOf('posing', 'set');
  return (
    <>
      <Button
        title={posing === null ? 'Take it from the scene' : 'Pose is taken'}
        icon="move"
        kind={posing === null ? 'plain' : 'main'}
        testID="take-pose"
        onPress={() => {
          if (posing === null) return showPose(piece, at);
          set({ posed: at });
          endPosing();
        }}
      />
      {posing !== null && (
        <Text tint="slate">
          Drag the numbered knob to where the pose brings the piece; the arrows lift it, the ring
          turns it.
        </Text>
      )}
    </>
  );
}

interface FiguresProps {
  readonly pose: OnePose;
  readonly at: number;
  readonly onChange: (part: Partial<OnePose>, merge: string) => void;
}

/** Where a pose is, how long it takes to get there, and how long it stays. */
function PoseFigures({ pose, at, onChange }: FiguresProps) {
  const set = (key: keyof OnePose) => (value: unknown) =>
    onChange({ [key]: value }, `pose ${at} ${key}`);
  return (
    <>
      <Triple label="Offset" unit="m" value={pose.at} onChange={set('at')} />
      <Triple label="Turned" unit="°" value={pose.turn ?? [0, 0, 0]} onChange={set('turn')} />
      <View>
        <NumberField
          label="Size"
          unit="×"
          step={0.1}
          value={pose.scale ?? 1}
          onChange={set('scale')}
        />
        <NumberField label="Takes" unit="s" step={0.1} value={pose.time} onChange={set('time')} />
        <NumberField
          label="Stays"
          unit="s"
          step={0.1}
          value={pose.wait ?? 0}
          onChange={set('wait')}
        />
      </View>
      <Choices
        label="Pace of the way there"
        value={pose.ease ?? 'smooth'}
        options={[
          { value: 'smooth', label: 'Slows at the ends' },
          { value: 'even', label: 'Even' },
        ]}
        onChange={set('ease')}
      />
    </>
  );
}
