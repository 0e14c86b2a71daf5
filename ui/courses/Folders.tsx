import { ScrollView } from 'react-native';
import { Chip, Text, OneStop } from '../parts';
import type { CourseInList } from '../state/unsent';
import { SPACE } from '../theme';
import { shelvesOf, type Shown } from './shelves';

interface FoldersProps {
  readonly courses: readonly CourseInList[];
  readonly shown: Shown;
  readonly onShow: (shown: Shown) => void;
  /** One below the other, at the left of a wide screen; in a row above the list else. */
  readonly upright: boolean;
}

/** The folders and tags of one's own courses, to look into one of them; nothing where there are none. */
export function Folders({ courses, shown, onShow, upright }: FoldersProps) {
  const { folders, tags, loose } = shelvesOf(courses);
  if (folders.length + tags.length === 0) return null;
  const choices: { label: string; value: Shown }[] = [
    { label: `All · ${courses.length}`, value: { kind: 'all' } },
    ...folders.map(({ name, count }) => ({
      label: `${name} · ${count}`,
      value: { kind: 'folder', name } as const,
    })),
    ...(folders.length > 0 && loose > 0
      ? [{ label: `In no folder · ${loose}`, value: { kind: 'loose' } as const }]
      : []),
    ...tags.map(({ name, count }) => ({
      label: `# ${name} · ${count}`,
      value: { kind: 'tag', name } as const,
    })),
  ];
  const chips = choices.map(({ label, value }) => (
    <Chip
      key={`${value.kind} ${'name' in value ? value.name : ''}`}
      role="tab"
      label={label}
      on={isSame(value, shown)}
      onPress={() => onShow(value)}
    />
  ));
  if (upright) {
    return (
      <OneStop
        as="tablist"
        style={{ width: 200, gap: SPACE.s, alignItems: 'flex-start' }}
        testID="folders"
      >
        <Text as="smallStrong">Folders and tags</Text>
        {chips}
      </OneStop>
    );
  }
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      contentContainerStyle={{ gap: SPACE.s }}
      testID="folders"
    >
      <OneStop as="tablist" style={{ flexDirection: 'row', gap: SPACE.s }}>
        {chips}
      </OneStop>
    </ScrollView>
  );
}

const isSame = (a: Shown, b: Shown): boolean =>
  a.kind === b.kind && ('name' in a ? a.name : '') === ('name' in b ? b.name : '');
