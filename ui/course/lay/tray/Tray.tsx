import { memo, useEffect, useMemo, useRef, useState, type PropsWithChildren } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { endIndex, groupOrder } from '@/core/edit';
import type { Family } from '@/core/pieces';
import { FIRST_STOP } from '../../../device/oneStop';
import { Chip, SearchField, IconButton, showToast, Text, OneStop } from '../../../parts';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useDebouncedOf } from '../../../state/debouncedCourse';
import { SPACE, TARGET, useColours } from '../../../theme';
import { takeTool, useLay } from '../../open/laying';
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

/**
 * The shelf that is open, the words that pieces are looked for by, and the list of shelves. When an open end is touched
 * the shelf of what fits there is opened and comes into sight.
 */
function useOpenShelf() {
  const [shelf, setShelf] = useState<Shelf>(() => groupOrder(useCourse.getState().course)[0]);
  const [words, setWords] = useState<string | null>(null);
  const list = useRef<ScrollView>(null);
  useEffect(
    () =>
      useLay.subscribe(({ touchedEnd }, before) => {
        if (!touchedEnd || touchedEnd === before.touchedEnd) return;
        setWords(null);
        setShelf('fits');
        list.current?.scrollTo({ x: 0, y: 0 });
      }),
    [],
  );
  return { shelf, setShelf, words, setWords, list };
}

/** The families to show, and what to say when there are none. */
function useShelf(words: string | null, shelf: Shelf) {
  // A shelf that follows neither the course nor the view need not hear of them.
  const course = useCourse((s) => (shelf === 'fits' ? s.course : null));
  const target = useView((s) => (shelf === 'fits' ? s.target : null));
  const touchedEnd = useLay((s) => s.touchedEnd);
  const used = useUsed();
  const families = useMemo(
    () =>
      words?.trim()
        ? findFamilies(words)
        : onShelf(shelf, course, touchedEnd ?? target ?? [0, 0, 0], used),
    [words, shelf, course, target, touchedEnd, used],
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

interface ShelvesProps {
  readonly shelf: Shelf;
  readonly onChoose: (shelf: Shelf) => void;
  readonly column?: boolean;
}

function Shelves({ shelf, onChoose, column }: ShelvesProps) {
  const hasEnd = useDebouncedOf((told) => endIndex(told).anyOpen());
  const kind = useCourse((s) => s.course.kind);
  const runner = useCourse((s) => s.course.runner);
  const chip = (id: Shelf, label: string) => {
    const told = { label, on: id === shelf, onPress: () => onChoose(id) };
    return column ? <ShelfRow key={id} {...told} /> : <Chip key={id} role="tab" {...told} />;
  };
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
    showToast(
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
        <Text tint="slate" style={{ padding: SPACE.s }}>
          {none}
        </Text>
      )}
    </>
  );
});

/** A row of tabs. */
function Tabs({ name, children }: PropsWithChildren<{ name: string }>) {
  return (
    <OneStop
      as="tablist"
      name={name}
      style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}
    >
      {children}
    </OneStop>
  );
}

function PhoneTray({ pieces }: { pieces: boolean }) {
  const colours = useColours();
  const tool = useLay((s) => s.tool);
  const { shelf, setShelf, words, setWords, list } = useOpenShelf();
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
          ref={list}
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
            <Tabs name="Tools">
              <ToolChips />
            </Tabs>
          ) : words === null ? (
            <>
              <IconButton icon="search" label="Find a piece" onPress={() => setWords('')} />
              <Tabs name="Shelves">
                <Shelves shelf={shelf} onChoose={setShelf} />
              </Tabs>
            </>
          ) : (
            <View style={{ flexDirection: 'row', alignItems: 'center', width: 310 }}>
              <View style={{ flex: 1 }}>
                <SearchField
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
        style={{ minHeight: 98 }}
        keyboardShouldPersistTaps="handled"
      >
        {pieces ? (
          <OneStop as="toolbar" name="Pieces" style={{ flexDirection: 'row', gap: SPACE.xs }}>
            <Cards families={families} none={none} />
          </OneStop>
        ) : (
          <ToolOptions wide={false} />
        )}
      </ScrollView>
    </View>
  );
}

/** The shelves as a column beside their pieces: as much room for the pieces as there is. */
function WideTray({ pieces }: { pieces: boolean }) {
  const colours = useColours();
  const { shelf, setShelf, words, setWords, list } = useOpenShelf();
  const { families, none } = useShelf(words, shelf);
  return (
    <View style={{ flex: 1 }}>
      <View style={{ padding: SPACE.m, paddingBottom: SPACE.s, gap: SPACE.s }}>
        <OneStop as="tablist" name="What is laid" style={{ flexDirection: 'row', gap: SPACE.s }}>
          <Chip
            role="tab"
            label="Pieces"
            on={pieces}
            onPress={() => !pieces && toggleTool(false)}
          />
          <Chip role="tab" label="Tools" on={!pieces} onPress={() => pieces && toggleTool(true)} />
        </OneStop>
        {pieces && (
          <SearchField
            name="Find a piece"
            placeholder="Find a piece"
            value={words ?? ''}
            onChangeText={setWords}
            testID="find-piece"
          />
        )}
      </View>
      {pieces ? (
        <View style={{ flex: 1, flexDirection: 'row' }}>
          {!words?.trim() && (
            <ScrollView
              ref={list}
              style={{
                flexGrow: 0,
                flexShrink: 0,
                flexBasis: 96,
                borderRightWidth: 1,
                borderColor: colours.line,
              }}
            >
              <OneStop as="tablist" name="Shelves" aria-orientation="vertical">
                <Shelves shelf={shelf} onChoose={setShelf} column />
              </OneStop>
            </ScrollView>
          )}
          <ScrollView>
            <OneStop
              as="toolbar"
              name="Pieces"
              style={{
                flexDirection: 'row',
                flexWrap: 'wrap',
                justifyContent: 'center',
                gap: SPACE.s,
                padding: SPACE.s,
                paddingBottom: SPACE.l,
              }}
            >
              <Cards families={families} none={none} />
            </OneStop>
          </ScrollView>
        </View>
      ) : (
        <ScrollView
          contentContainerStyle={{ gap: SPACE.m, padding: SPACE.m, paddingBottom: SPACE.l }}
        >
          <OneStop
            as="tablist"
            name="Tools"
            style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}
          >
            <ToolChips />
          </OneStop>
          <View style={{ gap: SPACE.m }}>
            <ToolOptions wide />
          </View>
        </ScrollView>
      )}
    </View>
  );
}

/** A shelf in a column of them: its name, marked where it is the open one. */
function ShelfRow({ label, on, onPress }: { label: string; on: boolean; onPress: () => void }) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="tab"
      aria-selected={on}
      {...(on ? FIRST_STOP : {})}
      onPress={onPress}
      style={({ pressed }) => ({
        opacity: pressed ? 0.6 : 1,
        minHeight: TARGET,
        justifyContent: 'center',
        paddingLeft: SPACE.m,
        borderLeftWidth: 4,
        borderColor: on ? colours.moss : 'transparent',
        backgroundColor: on ? colours.mossSoft : undefined,
      })}
    >
      <Text as={on ? 'smallStrong' : 'small'}>{label}</Text>
    </Pressable>
  );
}
