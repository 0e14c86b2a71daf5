import { View } from 'react-native';
import { changeMotion } from '@/core/edit';
import type { Piece, PosesMotion } from '@/core/course';
import { Button, Chip, Choices, NumberField, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { Flow } from '../figures/Section';
import { endPosing, showPose } from './showPose';
import { Triple } from '../figures/Triple';
import { useTuneOf } from '../tuneStore';

type OnePose = PosesMotion['poses'][number];

/** Timed poses: places, turns and sizes the piece goes through. */
export function PosesOptions({
  piece,
  motion,
  index,
}: {
  piece: Piece;
  motion: PosesMotion;
  index: number;
}) {
  const { choice, edit } = useEditing();
  const { posing, posed, set } = useTuneOf('posing', 'posed', 'set');
  const { poses } = motion;
  const at = Math.min(posing ?? posed, poses.length - 1);
  const setOpen = (pose: number) => {
    set({ posed: pose });
    if (posing !== null) showPose(piece, pose);
  };
  const pose = poses[at];
  const change = (to: Partial<Record<keyof PosesMotion, unknown>>, merge?: string) =>
    edit((now) => changeMotion(now, choice, index, to), merge);
  const setPose = (part: Partial<OnePose>, merge: string) =>
    change({ poses: poses.map((one, i) => (i === at ? { ...one, ...part } : one)) }, merge);
  return (
    <View style={{ gap: SPACE.s }}>
      <Flow>
        {poses.map((_, i) => (
          <Chip
            key={i}
            role="tab"
            label={`Pose ${i + 1}`}
            on={i === at}
            onPress={() => setOpen(i)}
          />
        ))}
        <Chip
          role="tab"
          label="One more"
          on={false}
          onPress={() => {
            change({ poses: [...poses, { ...pose }] });
            setOpen(poses.length);
          }}
        />
      </Flow>
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
      <Triple
        label="Off its place"
        unit="m"
        value={pose.at}
        onChange={(to) => setPose({ at: to }, `pose ${at} at`)}
      />
      <Triple
        label="Turned"
        unit="°"
        value={pose.turn ?? [0, 0, 0]}
        onChange={(to) => setPose({ turn: to }, `pose ${at} turn`)}
      />
      <View>
        <NumberField
          label="Size"
          unit="×"
          step={0.1}
          value={pose.scale ?? 1}
          onChange={(scale) => setPose({ scale }, `pose ${at} scale`)}
        />
        <NumberField
          label="Takes"
          unit="s"
          step={0.1}
          value={pose.time}
          onChange={(time) => setPose({ time }, `pose ${at} time`)}
        />
        <NumberField
          label="Stays"
          unit="s"
          step={0.1}
          value={pose.wait ?? 0}
          onChange={(wait) => setPose({ wait }, `pose ${at} wait`)}
        />
      </View>
      <Choices
        label="Pace of the way there"
        value={pose.ease ?? 'smooth'}
        options={[
          { value: 'smooth', label: 'Slows at the ends' },
          { value: 'even', label: 'Even' },
        ]}
        onChange={(ease) => setPose({ ease }, `pose ${at} ease`)}
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
