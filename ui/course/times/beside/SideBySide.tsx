import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { ScrollView, View } from 'react-native';
import type { RunPart, RunSheet } from '@/core/timing';
import { FigureTable, runTime, Text } from '../../../parts';
import { SPACE } from '../../../theme';

interface Row {
  readonly name: string;
  /** s a run; null where one never came so far. */
  readonly times: readonly (number | null)[];
  readonly best: number;
}

/** What each of some runs took for each part any of them came through, and for the whole. */
export function sideRows(
  runs: readonly { readonly parts: readonly RunPart[]; readonly finished: boolean }[],
): Row[] {
  // Who came farthest says what comes after what.
  const byLength = [...runs].sort((a, b) => b.parts.length - a.parts.length);
  const parts = new Map<string, string>();
  for (const run of byLength) for (const { key, name } of run.parts) parts.set(key, name);
  const row = (name: string, times: readonly (number | null)[]): Row => ({
    name,
    times,
    best: Math.min(...times.map((time) => time ?? Infinity)),
  });
  const rows = [...parts].map(([key, name]) =>
    row(
      name,
      runs.map((run) => run.parts.find((part) => part.key === key)?.time ?? null),
    ),
  );
  if (rows.length < 2) return rows;
  return [
    ...rows,
    row(
      'All of it',
      runs.map(({ parts, finished }) => (finished ? (parts.at(-1)?.at ?? null) : null)),
    ),
  ];
}

const column = createColumnHelper<Row>();
const TO = column.accessor('name', {
  header: 'To',
  meta: { width: 68 },
  cell: ({ getValue }) => (
    <Text as="small" numberOfLines={1}>
      {getValue()}
    </Text>
  ),
});

/** Room for a time, pixels: of less than a minute, and of more. */
const [NARROW, BROAD] = [58, 76];

const timesOf = (name: string, i: number, width: number) =>
  column.accessor(({ times }) => times[i] ?? undefined, {
    id: String(i),
    header: name,
    // A run that never came so far stands last, whichever way it is sorted.
    sortUndefined: 'last',
    meta: { width, figures: true },
    cell: ({ getValue, row }) => {
      const time = getValue();
      if (time === undefined) return <Text tint="slate">–</Text>;
      return (
        <Text as="smallFigures" tint={time === row.original.best ? 'moss' : 'ink'}>
          {runTime(time)}
        </Text>
      );
    },
  });

interface SideBySideProps {
  readonly name: string;
  readonly sheet: RunSheet;
  /** What the runs it is held against are called, in their order. */
  readonly names: readonly string[];
}

/** The parts of several runs in columns, the quickest of each part marked. */
export function SideBySide({ name, sheet, names }: SideBySideProps) {
  const rows = sideRows([sheet, ...sheet.beside]);
  if (sheet.beside.length < 2 || rows.length === 0) return null;
  const long = rows.some(({ times }) => times.some((time) => time !== null && time >= 60));
  const columns = [
    TO,
    ...[name, ...names].map((one, i) => timesOf(one, i, long ? BROAD : NARROW)),
  ] as ColumnDef<Row, unknown>[];
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="heading">Side by side</Text>
      <ScrollView horizontal showsHorizontalScrollIndicator={false}>
        <FigureTable
          label="Parts of the runs side by side"
          heads
          rows={rows}
          columns={columns}
          testID="side-by-side"
        />
      </ScrollView>
    </View>
  );
}
