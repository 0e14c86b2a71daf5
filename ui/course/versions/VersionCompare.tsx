import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { compareCourses, type Course, type CourseDifference, type Piece } from '@/core/course';
import { bringBack } from '@/core/edit';
import {
  Button,
  Card,
  CoursePicture,
  Fault,
  ListItem,
  Loading,
  PiecePicture,
  Text,
} from '../../parts';
import { api } from '../../state/api';
import { useCourse } from '../../state/courseStore';
import { SPACE, useColours } from '../../theme';
import { pieceName } from '../open/pieceWords';
import { useVersions } from '../open/versionsStore';
import { KEYS } from '../../state/keys';
import { noticeWithUndo } from '../open/undoNotice';

/** Differences that are listed at once. */
const MOST = 80;

interface CompareProps {
  readonly id: string;
  readonly revision: number;
  /** Goes back to the list of versions. */
  readonly onBack: () => void;
  /** Closes all of it: something was brought back. */
  readonly onDone: () => void;
}

/** What tells the course as it is from an earlier version, and a way to bring back all of that or some. */
export function VersionCompare({ id, revision, onBack, onDone }: CompareProps) {
  const { data, error, refetch } = useQuery({
    queryKey: KEYS.version(id, revision),
    queryFn: async ({ signal }) => (await api.version(id, revision, signal)).course,
    // A version never changes.
    staleTime: Infinity,
  });
  return (
    <>
      <Button title="All versions" icon="chevron-left" onPress={onBack} />
      {error && (
        <Fault
          title="It cannot be compared"
          words={error.message}
          action={{ label: 'Try again', act: () => void refetch() }}
        />
      )}
      {!data && !error && <Loading what="Looking for the version" />}
      {data && <Compared {...{ id, revision, onDone }} version={data} />}
    </>
  );
}

interface ComparedProps {
  readonly id: string;
  readonly version: Course;
  readonly revision: number;
  readonly onDone: () => void;
}

function Compared({ id, version, revision, onDone }: ComparedProps) {
  const course = useCourse((s) => s.course);
  const difference = useMemo(() => compareCourses(version, course), [version, course]);
  const rows = useMemo(() => rowsOf(difference), [difference]);
  const [chosen, choose] = useState<ReadonlySet<string>>(new Set());
  const toggle = (piece: string) =>
    choose((before) => {
      const next = new Set(before);
      if (!next.delete(piece)) next.add(piece);
      return next;
    });
  const bring = (ids: ReadonlySet<string>) => {
    useCourse.getState().replace(bringBack(course, version, ids));
    noticeWithUndo(
      `${ids.size} ${ids.size === 1 ? 'piece is' : 'pieces are'} as in version ${revision}.`,
    );
    onDone();
  };
  return (
    <View style={{ gap: SPACE.m }} testID="version-compare">
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Pictured course={version} words={`Version ${revision}`} />
        <Pictured course={course} words="As it is now" />
      </View>
      <Text tint="slate">{differenceWords(difference)}</Text>
      {rows.length > 0 && (
        <Button
          title="Show it in the scene"
          icon="eye"
          onPress={() => {
            useVersions.getState().set({ inScene: { id, revision, version } });
            onDone();
          }}
          testID="compare-in-scene"
        />
      )}
      {rows.length > 0 && (
        <View style={{ flexDirection: 'row', gap: SPACE.s }}>
          <Button
            title={chosen.size > 0 ? `Bring back ${chosen.size}` : 'Bring back chosen'}
            disabled={chosen.size === 0}
            onPress={() => bring(chosen)}
            style={{ flex: 1 }}
            testID="bring-chosen"
          />
          <Button
            title="Bring back all"
            onPress={() => bring(new Set(rows.map(({ piece }) => piece.id)))}
            style={{ flex: 1 }}
            testID="bring-all"
          />
        </View>
      )}
      <View>
        {rows.slice(0, MOST).map(({ piece, what }) => (
          <ListItem
            key={piece.id}
            on={chosen.has(piece.id)}
            onPress={() => toggle(piece.id)}
            testID={`differs-${piece.id}`}
          >
            <PiecePicture piece={piece} size={36} />
            <View style={{ flex: 1, minWidth: 0 }}>
              <Text numberOfLines={1}>{pieceName(piece)}</Text>
              <Text as="small" tint="slate">
                {what}
              </Text>
            </View>
          </ListItem>
        ))}
        {rows.length > MOST && (
          <Text as="small" tint="slate">
            And {rows.length - MOST} more.
          </Text>
        )}
      </View>
    </View>
  );
}

function Pictured({ course, words }: { readonly course: Course; readonly words: string }) {
  const colours = useColours();
  return (
    <View style={{ flex: 1, minWidth: 0, gap: SPACE.xs }}>
      <Card style={{ overflow: 'hidden', backgroundColor: colours.shallows }}>
        <CoursePicture course={course} width={300} height={110} />
      </Card>
      <Text as="small" tint="slate">
        {words}
      </Text>
    </View>
  );
}

interface Row {
  readonly piece: Piece;
  readonly what: string;
}

/** Each piece that differs, with what has become of it since. */
export const rowsOf = ({ added, removed, moved, changed }: CourseDifference): Row[] => [
  ...removed.map((piece) => ({ piece, what: 'gone since' })),
  ...changed.map(({ was }) => ({ piece: was, what: 'changed since' })),
  ...moved.map(({ was, is }) => ({ piece: was, what: movedWords(was, is) })),
  ...added.map((piece) => ({ piece, what: 'came since' })),
];

/** How far a piece was moved, or that it was only turned. */
function movedWords({ at: [x, y, z] }: Piece, { at }: Piece): string {
  const metres = Math.hypot(at[0] - x, at[1] - y, at[2] - z);
  return metres < 0.005 ? 'turned since' : `moved since by ${metres.toFixed(2)} m`;
}

/** What differs, in a sentence. */
export function differenceWords(difference: CourseDifference): string {
  const { added, removed, moved, changed, fields } = difference;
  const counts = [
    [added.length, 'came'],
    [removed.length, removed.length === 1 ? 'is gone' : 'are gone'],
    [moved.length, moved.length === 1 ? 'was moved' : 'were moved'],
    [changed.length, changed.length === 1 ? 'was changed' : 'were changed'],
  ] as const;
  const pieces = counts.filter(([count]) => count > 0).map(([count, words]) => `${count} ${words}`);
  if (pieces.length === 0 && fields.length === 0) return 'Nothing differs.';
  const said = pieces.length > 0 ? `Of the pieces since then ${pieces.join(', ')}.` : '';
  const others = fields.length > 0 ? 'The course’s own figures or words differ too.' : '';
  return [said, others].filter(Boolean).join(' ');
}
