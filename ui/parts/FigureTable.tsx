import {
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type RowData,
} from '@tanstack/react-table';
import { Pressable, View } from 'react-native';
import { SPACE, TARGET, useColours } from '../theme';
import { Text } from './Text';

declare module '@tanstack/react-table' {
  // Its parameters have to be named as they are there.
  // eslint-disable-next-line @typescript-eslint/no-unused-vars
  interface ColumnMeta<TData extends RowData, TValue> {
    /** How wide it is, pixels; what is left over is the widest of the rest. */
    readonly width?: number;
    /** Figures stand at the right, one under the other. */
    readonly figures?: boolean;
  }
}

interface FigureTableProps<T> {
  /** What it lists, for those who cannot see it. */
  readonly label: string;
  readonly rows: readonly T[];
  readonly columns: readonly ColumnDef<T, unknown>[];
  /** The heads of columns are shown, and where a column can be sorted a press sorts by it. */
  readonly heads?: boolean;
  readonly rowHeight?: number;
  readonly testID?: string;
}

/** Figures in rows and columns. */
export function FigureTable<T>({
  label,
  rows,
  columns,
  heads = false,
  rowHeight = 36,
  testID,
}: FigureTableProps<T>) {
  const colours = useColours();
  // Nothing of it is handed to what remembers its props.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: rows as T[],
    columns: columns as ColumnDef<T, unknown>[],
    enableSorting: heads,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const line = { flexDirection: 'row', alignItems: 'center' } as const;
  return (
    <View role="table" aria-label={label} testID={testID}>
      {heads &&
        table.getHeaderGroups().map((group) => (
          <View key={group.id} role="row" style={line}>
            {group.headers.map((header) => (
              <Head
                key={header.id}
                width={header.column.columnDef.meta?.width}
                figures={header.column.columnDef.meta?.figures ?? false}
                sorted={header.column.getIsSorted()}
                onSort={
                  header.column.getCanSort() ? () => header.column.toggleSorting() : undefined
                }
              >
                {String(header.column.columnDef.header ?? '')}
              </Head>
            ))}
          </View>
        ))}
      {table.getRowModel().rows.map((row, i) => (
        <View
          key={row.id}
          role="row"
          style={{
            ...line,
            minHeight: rowHeight,
            borderTopWidth: i > 0 || heads ? 1 : 0,
            borderColor: colours.line,
          }}
        >
          {row.getVisibleCells().map((cell) => {
            const { width, figures } = cell.column.columnDef.meta ?? {};
            return (
              <View
                key={cell.id}
                role="cell"
                style={{
                  ...(width ? { width } : { flex: 1, minWidth: 0 }),
                  alignItems: figures ? 'flex-end' : 'flex-start',
                  paddingRight: figures ? 0 : SPACE.s,
                }}
              >
                {flexRender(cell.column.columnDef.cell, cell.getContext())}
              </View>
            );
          })}
        </View>
      ))}
    </View>
  );
}

interface HeadProps {
  readonly width: number | undefined;
  readonly figures: boolean;
  readonly sorted: false | 'asc' | 'desc';
  readonly onSort: (() => void) | undefined;
  readonly children: string;
}

const SORTED = { asc: 'ascending', desc: 'descending' } as const;

function Head({ width, figures, sorted, onSort, children }: HeadProps) {
  const words = (
    <Text as="small" tint="slate" numberOfLines={1}>
      {children}
      {sorted === false ? '' : sorted === 'asc' ? ' ↑' : ' ↓'}
    </Text>
  );
  return (
    <View
      role={'columnheader' as never}
      {...({ 'aria-sort': sorted ? SORTED[sorted] : undefined } as object)}
      style={{
        ...(width ? { width } : { flex: 1, minWidth: 0 }),
        alignItems: figures ? 'flex-end' : 'flex-start',
      }}
    >
      {onSort ? (
        <Pressable
          role="button"
          onPress={onSort}
          style={{ minHeight: TARGET, justifyContent: 'center' }}
        >
          {words}
        </Pressable>
      ) : (
        words
      )}
    </View>
  );
}
