import { useMemo, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import Fuse from 'fuse.js';
import { FAMILIES, type Family, type FamilyGroup } from '@/core/pieces';
import { Chip, Field, IconButton, PiecePicture, Words } from '../parts';
import { useCourse } from '../state/courseStore';
import { RADIUS, SPACE, useColours } from '../theme';
import { useLay } from './layStore';

const GROUPS: readonly { readonly id: FamilyGroup; readonly label: string }[] = [
  { id: 'stones', label: 'Stones' },
  { id: 'timber', label: 'Timber' },
  { id: 'hazards', label: 'Hazards' },
  { id: 'movers', label: 'Movers' },
  { id: 'marks', label: 'Marks' },
];

const search = new Fuse(FAMILIES, { keys: ['label', 'words', 'group'], threshold: 0.35 });

/** Takes a family in hand, to be laid by the next tap. */
export function takeFamily(family: Family): void {
  // From here on Enter lays the piece; it should not press the tray's button again.
  (document.activeElement as HTMLElement | null)?.blur();
  useLay.getState().set({ ghostAt: null });
  useCourse.getState().take({ family: family.id, at: [0, 0, 0] });
}

/** The families to lay, by group or by words, each drawn from its own geometry. */
export function Tray({ wide }: { wide: boolean }) {
  const colours = useColours();
  const inHand = useCourse((s) => s.inHand);
  const [group, setGroup] = useState<FamilyGroup>('stones');
  const [words, setWords] = useState<string | null>(null);
  const shown = useMemo(() => {
    if (words?.trim()) return search.search(words).map(({ item }) => item);
    return wide || words !== null ? FAMILIES : FAMILIES.filter((family) => family.group === group);
  }, [words, group, wide]);

  const cards = shown.map((family) => {
    const on = inHand?.family === family.id;
    return (
      <Pressable
        key={family.id}
        accessibilityRole="button"
        accessibilityLabel={family.label}
        accessibilityState={{ selected: on }}
        testID={`family-${family.id}`}
        onPress={() => takeFamily(family)}
        style={{ width: 82, alignItems: 'center', gap: 2 }}
      >
        <View
          style={{
            width: 78,
            height: 60,
            alignItems: 'center',
            justifyContent: 'center',
            borderRadius: RADIUS.s,
            borderWidth: on ? 2 : 1,
            borderColor: on ? colours.moss : colours.line,
            backgroundColor: on ? colours.mossSoft : colours.card,
          }}
        >
          <PiecePicture piece={pictured(family)} size={52} />
        </View>
        <Words as={on ? 'smallStrong' : 'small'} numberOfLines={1}>
          {family.label}
        </Words>
      </Pressable>
    );
  });

  if (wide) {
    return (
      <View style={{ flex: 1, padding: SPACE.m, gap: SPACE.s }}>
        <Field
          name="Find a piece"
          placeholder="Find a piece"
          value={words ?? ''}
          onChangeText={setWords}
          testID="find-piece"
        />
        <ScrollView
          contentContainerStyle={{
            flexDirection: 'row',
            flexWrap: 'wrap',
            gap: SPACE.s,
            paddingBottom: SPACE.l,
          }}
        >
          {cards}
          {cards.length === 0 && <Words tint="slate">No piece by that name.</Words>}
        </ScrollView>
      </View>
    );
  }
  return (
    <View style={{ backgroundColor: colours.paper, paddingBottom: SPACE.xs }}>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={{
          paddingHorizontal: SPACE.s,
          gap: SPACE.s,
          alignItems: 'center',
          minHeight: 52,
        }}
      >
        {words === null ? (
          <>
            <IconButton icon="search" label="Find a piece" onPress={() => setWords('')} />
            {GROUPS.map(({ id, label }) => (
              <Chip
                key={id}
                role="tab"
                label={label}
                on={id === group}
                onPress={() => setGroup(id)}
              />
            ))}
          </>
        ) : (
          <View style={{ flexDirection: 'row', alignItems: 'center', width: 358 }}>
            <View style={{ flex: 1 }}>
              <Field
                name="Find a piece"
                placeholder="Find a piece"
                autoFocus
                value={words}
                onChangeText={setWords}
                testID="find-piece"
              />
            </View>
            <IconButton icon="x" label="Close the search" onPress={() => setWords(null)} />
          </View>
        )}
      </ScrollView>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={{ paddingHorizontal: SPACE.s, gap: SPACE.xs }}
        style={{ minHeight: 84 }}
      >
        {cards}
        {cards.length === 0 && <Words tint="slate">No piece by that name.</Words>}
      </ScrollView>
    </View>
  );
}

const pictures = new Map<string, { family: string }>();

/** One object a family, so that its picture is drawn once. */
export function pictured({ id }: Family): { family: string } {
  let known = pictures.get(id);
  if (!known) {
    known = { family: id };
    pictures.set(id, known);
  }
  return known;
}
