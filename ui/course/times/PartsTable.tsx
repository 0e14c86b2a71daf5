import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { View } from 'react-native';
import type { Targets } from '@/core/course';
import { bestParts, sumOfBest, type RunPart } from '@/core/timing';
import { FigureTable, runTime, Text, timeGap } from '../../parts';
import { SPACE } from '../../theme';
import type { KnownRun } from '../runs/runsKnown';

interface PartRow {
  readonly name: string;
  /** When it ended, and how long it took, s. */
  readonly at: number;
  readonly time: number;
  /** The best it ever took, s. */
  readonly best: number;
}

/** Each part of a run with the best it ever took. */
export const partRows = (parts: readonly RunPart[], best: ReadonlyMap<string, number>): PartRow[] =>
  parts.map(({ name, at, time, key }) => ({ name, at, time, best: best.get(key) ?? time }));

const column = createColumnHelper<PartRow>();
const COLUMNS = [
  column.accessor('name', {
    header: 'To',
    cell: ({ getValue }) => <Text as="small">{getValue()}</Text>,
  }),
  column.accessor('at', {
    header: 'Clock',
    meta: { width: 84, figures: true },
    cell: ({ getValue }) => <Text as="figures">{runTime(getValue())}</Text>,
  }),
  column.accessor('time', {
    header: 'Part',
    meta: { width: 80, figures: true },
    cell: ({ getValue }) => <Text as="figures">{runTime(getValue())}</Text>,
  }),
  column.accessor(({ time, best }) => time - best, {
    id: 'over',
    header: 'To best',
    meta: { width: 78, figures: true },
    cell: ({ getValue }) => (
      <Text as="figures" tint={getValue() > 0 ? 'rust' : 'moss'}>
        {getValue() > 0 ? timeGap(getValue()) : 'best'}
      </Text>
    ),
  }),
] as ColumnDef<PartRow, unknown>[];

interface PartsProps {
  readonly parts: readonly RunPart[];
  readonly runs: readonly KnownRun[];
  readonly targets: Targets | undefined;
}

/** A run's parts against the best of each, and what would be if all went as well as it ever did. */
export function PartsTable({ parts, runs, targets }: PartsProps) {
  if (parts.length === 0) return null;
  const best = bestParts([parts, ...runs.map((run) => run.parts)]);
  const sum = sumOfBest(parts, best);
  const whole = parts[parts.length - 1].key === 'goal';
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="heading">Parts</Text>
      <FigureTable
        label="Parts of the run"
        heads
        rows={partRows(parts, best)}
        columns={COLUMNS}
        testID="parts-table"
      />
      {whole && sum !== null && (
        <Text as="small" tint="slate" testID="sum-of-best">
          Each part at its best would make <Text as="smallFigures">{runTime(sum)}</Text>
          {targets ? `; swift is ${runTime(targets.swift)}.` : '.'}
        </Text>
      )}
    </View>
  );
}
