import { View } from 'react-native';
import { setRule } from '@/core/edit';
import { CAMERAS, type CourseCamera } from '@/core/course';
import { cameraOf, eyePlace } from '@/core/sight';
import { Button, Chip, Choices, NumberField } from '../../../parts';
import { useView } from '../../../scene';
import { useEditing } from '../../../state/panelSnapshot';
import { Flow, Section } from '../../parts/Section';
import { useTune } from '../../open/tuneStore';
import { CAMERA_WORDS } from '../../open/pieceWords';

/** Where one looks from, to a tenth of a metre. */
const standHere = (): [number, number, number] => {
  const [x, y, z] = eyePlace(useView.getState()).map((v) => Math.round(v * 10) / 10);
  return [x, y, z];
};

/** How a run of the course is looked at. */
export function Camera() {
  const { course, edit } = useEditing();
  const set = (next: CourseCamera | undefined, merge?: string) =>
    edit((now) => setRule(now, 'camera', next), merge);
  const choose = (kind: CourseCamera['kind'] | 'usual') => {
    if (kind === 'usual') set(undefined);
    else set(kind === 'fixed' ? { kind, at: standHere() } : { kind });
  };
  return (
    <Section title="Camera">
      <Choices
        value={course.camera ? course.camera.kind : 'usual'}
        options={[
          { value: 'usual', label: 'Usual' },
          ...CAMERAS.map((value) => ({ value, label: CAMERA_WORDS[value] })),
        ]}
        onChange={(kind) => choose(kind as CourseCamera['kind'] | 'usual')}
      />
      <CameraFigures set={set} />
      {course.camera?.kind === 'fixed' && (
        <Button
          title="Stand where I look from"
          icon="video"
          onPress={() => set({ kind: 'fixed', at: standHere() })}
        />
      )}
      <PlayersFrame />
    </Section>
  );
}

interface FiguresProps {
  readonly set: (next: CourseCamera, merge: string) => void;
}

/** How far off and how steeply it looks, unless it stands in one place. */
function CameraFigures({ set }: FiguresProps) {
  const { course } = useEditing();
  const camera = cameraOf(course, false);
  const told = course.camera ?? { kind: camera.kind };
  if (camera.kind === 'fixed') return null;
  return (
    <View>
      <NumberField
        label="Distance"
        unit="m"
        step={1}
        value={camera.distance}
        testID="camera-distance"
        onChange={(distance) => set({ ...told, distance }, 'camera distance')}
      />
      <NumberField
        label="Looks down by"
        unit="°"
        step={5}
        value={camera.pitch}
        onChange={(pitch) => set({ ...told, pitch }, 'camera pitch')}
      />
      {camera.kind === 'behind' && (
        <NumberField
          label="Looks ahead"
          unit="m"
          step={0.5}
          value={camera.ahead}
          onChange={(ahead) => set({ ...told, ahead }, 'camera ahead')}
        />
      )}
    </View>
  );
}

/** Shows over the scene what players see, at a part of the way. */
function PlayersFrame() {
  const frameAt = useTune((s) => s.frameAt);
  const frameShape = useTune((s) => s.frameShape);
  const { set } = useTune.getState();
  return (
    <>
      <Flow>
        <Chip
          role="checkbox"
          label="Show what players see"
          on={frameAt !== null}
          onPress={() => set({ frameAt: frameAt === null ? 0 : null })}
        />
      </Flow>
      {frameAt !== null && (
        <>
          <Choices
            label="On"
            value={frameShape}
            options={[
              { value: 'phone', label: 'A phone' },
              { value: 'wide', label: 'A wide screen' },
            ]}
            onChange={(shape) => set({ frameShape: shape })}
          />
          <NumberField
            label="At part of the way, or touch the ribbon"
            unit="%"
            step={5}
            value={Math.round(frameAt * 100)}
            onChange={(v) => set({ frameAt: Math.min(1, Math.max(0, v / 100)) })}
          />
        </>
      )}
    </>
  );
}
