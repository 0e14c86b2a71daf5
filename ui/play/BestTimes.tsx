import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { View } from 'react-native';
import { UNNAMED, type PublishedCourse } from '@/core/protocol';
import { FigureTable, IconButton, runTime, strokesText, Text } from '../parts';
import { TARGET } from '../theme';

type Row = PublishedCourse['best'][number];

const column = createColumnHelper<Row>();
const PLACE = column.accessor('place', {
  header: 'Place',
  meta: { width: 44 },
  cell: ({ getValue }) => (
    <Text as="figures" tint="slate">
      {getValue()}
    </Text>
  ),
});
const PLAYER = column.accessor('player', {
  header: 'Player',
  cell: ({ row: { original } }) => (
    <Text as={original.own ? 'strong' : 'text'}>
      {original.player}
      {original.own ? ' (you)' : ''}
      {original.guest && !original.own && original.player !== UNNAMED ? (
        <Text as="small" tint="slate">
          {' guest'}
        </Text>
      ) : null}
    </Text>
  ),
});
const STROKES = column.accessor('strokes', {
  header: 'Strokes',
  meta: { width: 90, figures: true },
  cell: ({ getValue }) => (
    <Text as="figures" tint="slate">
      {strokesText(getValue() ?? 0)}
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

/** Which of them run beside one's own. */
interface Beside {
  readonly keys: readonly string[];
  readonly toggle: (key: string) => void;
}

const besideColumn = ({ keys, toggle }: Beside) =>
  column.display({
    id: 'beside',
    header: 'Beside',
    meta: { width: 52, figures: true },
    cell: ({ row: { original } }) =>
      original.run !== undefined && (
        <IconButton
          icon={keys.includes(original.run) ? 'user-check' : 'user-plus'}
          label={`Run beside ${original.own ? 'your best' : original.player}`}
          on={keys.includes(original.run)}
          onPress={() => toggle(original.run!)}
        />
      ),
  }) as ColumnDef<Row, unknown>;

const removeColumn = (onRemove: (row: Row) => void) =>
  column.display({
    id: 'remove',
    header: 'Remove',
    meta: { width: 52, figures: true },
    cell: ({ row: { original } }) =>
      original.run !== undefined && (
        <IconButton
          icon="trash-2"
          label={`Take the run of ${original.player} off the list`}
          onPress={() => onRemove(original)}
        />
      ),
  }) as ColumnDef<Row, unknown>;

interface BestTimesProps {
  readonly best: PublishedCourse['best'];
  /** Given where they can be run beside. */
  readonly beside?: Beside;
  /** Given to the course's own maker. */
  readonly onRemove?: (row: Row) => void;
}

/** The best runs of a course, the first in rank first. */
export function BestTimes({ best, beside, onRemove }: BestTimesProps) {
  const counted = best[0]?.strokes !== undefined;
  const title = counted ? 'Fewest strokes' : 'Best times';
  const columns = [
    ...(counted ? COUNTED : TIMED),
    ...(beside ? [besideColumn(beside)] : []),
    ...(onRemove ? [removeColumn(onRemove)] : []),
  ];
  return (
    <View testID="best-times">
      <Text as="heading">{title}</Text>
      {best.length === 0 && (
        <Text tint="slate">Nobody has finished it yet. Yours would be the first.</Text>
      )}
      {inRow(best).map((rows, i) => (
        <View key={rows[0].place}>
          {i > 0 && (
            <Text as="figures" tint="slate" aria-hidden>
              …
            </Text>
          )}
          <FigureTable
            label={i === 0 ? title : `${title} about yours`}
            rows={rows}
            columns={columns}
            rowHeight={beside ? TARGET : 40}
          />
        </View>
      ))}
    </View>
  );
}

/** The rows in parts, each of which has one place after the other. */
export function inRow<T extends { readonly place: number }>(rows: readonly T[]): T[][] {
  const parts: T[][] = [];
  for (const row of rows) {
    const last = parts.at(-1);
    if (last && row.place === last.at(-1)!.place + 1) last.push(row);
    else parts.push([row]);
  }
  return parts;
}
