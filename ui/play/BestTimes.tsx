import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { View } from 'react-native';
import type { PublishedCourse } from '@/core/protocol';
import { FigureTable, runTime, Text } from '../parts';

type Row = PublishedCourse['best'][number];

const column = createColumnHelper<Row>();
const PLACE = column.display({
  id: 'place',
  header: 'Place',
  meta: { width: 32 },
  cell: ({ row }) => (
    <Text as="figures" tint="slate">
      {row.index + 1}
    </Text>
  ),
});
const PLAYER = column.accessor('player', {
  header: 'Player',
  cell: ({ row: { original } }) => (
    <Text as={original.own ? 'strong' : 'text'}>
      {original.player}
      {original.own ? ' (you)' : ''}
    </Text>
  ),
});
const STROKES = column.accessor('strokes', {
  header: 'Strokes',
  meta: { width: 90, figures: true },
  cell: ({ getValue }) => (
    <Text as="figures" tint="slate">
      {getValue()} {getValue() === 1 ? 'stroke' : 'strokes'}
    </Text>
  ),
});
const TIME = column.accessor('time', {
  header: 'Time',
  meta: { width: 92, figures: true },
  cell: ({ getValue }) => <Text as="figures">{runTime(getValue())}</Text>,
});

const TIMED = [PLACE, PLAYER, TIME] as ColumnDef<Row, unknown>[];
const COUNTED = [PLACE, PLAYER, STROKES, TIME] as ColumnDef<Row, unknown>[];

/** The best runs of a course, the first in rank first. */
export function BestTimes({ best }: { best: PublishedCourse['best'] }) {
  const counted = best[0]?.strokes !== undefined;
  const title = counted ? 'Fewest strokes' : 'Best times';
  return (
    <View testID="best-times">
      <Text as="heading">{title}</Text>
      {best.length === 0 ? (
        <Text tint="slate">Nobody has finished it yet. Yours would be the first.</Text>
      ) : (
        <FigureTable label={title} rows={best} columns={counted ? COUNTED : TIMED} rowHeight={40} />
      )}
    </View>
  );
}
