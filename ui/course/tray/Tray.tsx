import { memo, useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { endIndex, groupOrder } from '@/core/assemble';
import type { Family } from '@/core/pieces';
import { Chip, Field, IconButton, tell, Words } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useToldOf } from '../../state/told';
import { SPACE, useColours } from '../../theme';
import { takeTool, useLay } from '../layStore';
import { FamilyCard } from './FamilyCard';
import { findFamilies, GROUPS, onShelf, takeFamily, useUsed, type Shelf } from './families';
import { ToolChips, ToolOptions } from './ToolTray';

/** What can be laid, by shelf or by words, each drawn from its own geometry; and the tools that draw. */
export function Tray({ wide }: { wide: boolean }) {
  const tool = useLay((s) => s.tool);
  const pieces = tool === 'pieces';
  return wide ? <WideTray pieces={pieces} /> : <PhoneTray pieces={pieces} />;
}

const toggleTool = (pieces: boolean) => {
  useCourse.getState().take(null);
  takeTool(pieces ? 'choose' : 'pieces');
};

/** The families to show, and what to say when there are none. */
function useShelf(words: string | null, shelf: Shelf) {
  // A shelf that follows neither the course nor the view need not hear of them.
  const course = useCourse((s) => (shelf === 'fits' ? s.course : null));
  const target = useView((s) => (shelf === 'fits' ? s.target : null));
  const used = useUsed();
  const families = useMemo(
    () => (words?.trim() ? findFamilies(words) : onShelf(shelf, course, target ?? [0, 0, 0], used)),
    [words, shelf, course, target, used],
  );
  const none = words?.trim()
    ? 'No piece by that name.'
    : shelf === 'fits'
      ? 'There is no open end near the middle of the view.'
      : shelf === 'favourite'
        ? 'Hold a piece to keep it here.'
        : 'What you use comes here.';
  return { families, none };
}

function Shelves({ shelf, onChoose }: { shelf: Shelf; onChoose: (shelf: Shelf) => void }) {
  const hasEnd = useToldOf((told) => endIndex(told).anyOpen());
  const kind = useCourse((s) => s.course.kind);
  const runner = useCourse((s) => s.course.runner);
  const chip = (id: Shelf, label: string) => (
    <Chip key={id} role="tab" label={label} on={id === shelf} onPress={() => onChoose(id)} />
  );
  return (
    <>
      {hasEnd && chip('fits', 'Fits here')}
      {groupOrder({ kind, runner }).map((id) => chip(id, GROUPS.find((g) => g.id === id)!.label))}
      {chip('recent', 'Used last')}
      {chip('favourite', 'Favourites')}
    </>
  );
}

const Cards = memo(function Cards({
  families,
  none,
}: {
  families: readonly Family[];
  none: string;
}) {
  const inHand = useCourse((s) => s.inHand?.family);
  const { favourites, favour } = useUsed();
  const keep = (family: Family) => {
    favour(family.id);
    tell(
      favourites.includes(family.id)
        ? `${family.label} is no favourite any more.`
        : `${family.label} is among the favourites.`,
    );
  };
  return (
    <>
      {families.map((family) => (
        <FamilyCard
          key={family.id}
          family={family}
          on={inHand === family.id}
          favourite={favourites.includes(family.id)}
          onPress={takeFamily}
          onLongPress={keep}
        />
      ))}
      {families.length === 0 && (
        <Words tint="slate" style={{ padding: SPACE.s }}>
          {none}
        </Words>
      )}
    </>
  );
});

function PhoneTray({ pieces }: { pieces: boolean }) {
  const colours = useColours();
  const tool = useLay((s) => s.tool);
  const [shelf, setShelf] = useState<Shelf>(() => groupOrder(useCourse.getState().course)[0]);
  const [words, setWords] = useState<string | null>(null);
  const { families, none } = useShelf(words, shelf);
  return (
    <View style={{ backgroundColor: colours.paper, paddingBottom: SPACE.xs }}>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <IconButton
          icon={pieces ? 'edit-3' : 'grid'}
          label={pieces ? 'Tools' : 'Pieces'}
          labelled
          onPress={() => toggleTool(pieces)}
          style={{ minHeight: 52, minWidth: 56, borderRightWidth: 1, borderColor: colours.line }}
          testID="tray-toggle"
        />
        <ScrollView
          key={pieces ? 'shelves' : 'tools'}
          horizontal
          showsHorizontalScrollIndicator={false}
          contentContainerStyle={{
            paddingHorizontal: SPACE.s,
            gap: SPACE.s,
            alignItems: 'center',
            minHeight: 52,
          }}
        >
          {!pieces ? (
            <ToolChips />
          ) : words === null ? (
            <>
              <IconButton icon="search" label="Find a piece" onPress={() => setWords('')} />
              <Shelves shelf={shelf} onChoose={setShelf} />
            </>
          ) : (
            <View style={{ flexDirection: 'row', alignItems: 'center', width: 310 }}>
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
      </View>
      <ScrollView
        key={pieces ? (words ?? shelf) : tool}
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={{
          paddingHorizontal: SPACE.s,
          gap: pieces ? SPACE.xs : SPACE.s,
          alignItems: 'center',
        }}
        style={{ minHeight: 84 }}
        keyboardShouldPersistTaps="handled"
      >
        {pieces ? <Cards families={families} none={none} /> : <ToolOptions wide={false} />}
      </ScrollView>
    </View>
  );
}

function WideTray({ pieces }: { pieces: boolean }) {
  const [shelf, setShelf] = useState<Shelf>(() => groupOrder(useCourse.getState().course)[0]);
  const [words, setWords] = useState('');
  const { families, none } = useShelf(words, shelf);
  return (
    <View style={{ flex: 1, padding: SPACE.m, gap: SPACE.s }}>
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Chip role="tab" label="Pieces" on={pieces} onPress={() => !pieces && toggleTool(false)} />
        <Chip role="tab" label="Tools" on={!pieces} onPress={() => pieces && toggleTool(true)} />
      </View>
      {pieces ? (
        <>
          <Field
            name="Find a piece"
            placeholder="Find a piece"
            value={words}
            onChangeText={setWords}
            testID="find-piece"
          />
          {!words.trim() && (
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
              <Shelves shelf={shelf} onChoose={setShelf} />
            </View>
          )}
          <ScrollView
            contentContainerStyle={{
              flexDirection: 'row',
              flexWrap: 'wrap',
              gap: SPACE.s,
              paddingBottom: SPACE.l,
            }}
          >
            <Cards families={families} none={none} />
          </ScrollView>
        </>
      ) : (
        <ScrollView contentContainerStyle={{ gap: SPACE.m, paddingBottom: SPACE.l }}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
            <ToolChips />
          </View>
          <View style={{ gap: SPACE.m }}>
            <ToolOptions wide />
          </View>
        </ScrollView>
      )}
    </View>
  );
}
