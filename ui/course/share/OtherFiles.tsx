import { useMutation } from '@tanstack/react-query';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import { slugOf } from '@/core/formats';
import { Button, saveFile, showToast, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { SPACE } from '../../theme';
import { picturePng } from './picturePng';

/** What writes the files of other trades: loaded when one is asked for. */
const writers = () => import('@/core/formats/export');

/** A course as a file of another trade. */
interface Other {
  readonly title: string;
  readonly icon: 'box' | 'printer' | 'grid' | 'image';
  readonly ending: 'glb' | 'svg' | 'csv' | 'png';
  readonly type: string;
  readonly write: (course: Course) => Promise<BlobPart>;
}

const OTHERS: readonly Other[] = [
  {
    title: '3D scene',
    icon: 'box',
    ending: 'glb',
    type: 'model/gltf-binary',
    write: async (course) => (await (await writers()).toGlb(course)).slice(),
  },
  {
    title: 'Plan to print',
    icon: 'printer',
    ending: 'svg',
    type: 'image/svg+xml',
    write: async (course) => (await writers()).planSvg(course),
  },
  {
    title: 'Table of pieces',
    icon: 'grid',
    ending: 'csv',
    type: 'text/csv',
    write: async (course) => (await writers()).piecesCsv(course),
  },
  { title: 'Picture', icon: 'image', ending: 'png', type: 'image/png', write: picturePng },
];

/** The course as files that other programs open. */
export function OtherFiles() {
  const course = useCourse((s) => s.course);
  const save = useMutation({
    mutationFn: async ({ ending, type, write }: Other) =>
      saveFile(`${slugOf(course.name)}.${ending}`, await write(course), type),
    onError: (error) => showToast(`It could not be written: ${error.message}`),
  });
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="strong">For other programs</Text>
      <Text as="small" tint="slate">
        A scene in metres (glTF), plan and elevation to scale on A3 (SVG), every piece in figures
        (CSV), and the picture (PNG).
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        {OTHERS.map((other) => (
          <Button
            key={other.ending}
            title={other.title}
            icon={other.icon}
            busy={save.isPending && save.variables === other}
            disabled={save.isPending}
            onPress={() => save.mutate(other)}
            style={{ flexGrow: 1 }}
            testID={`save-${other.ending}`}
          />
        ))}
      </View>
    </View>
  );
}
