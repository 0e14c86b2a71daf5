import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import type { ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import type { CourseKind, Targets } from '@/core/course';
import type { RunResult } from '@/core/run';
import { Card, comesUp, FigureTable, runTime, strokesText, timeGap, Text } from '../../parts';
import { SPACE, WIDE } from '../../theme';
import type { Best } from './finished';
import { isBehind, runWords, splitRows, strokeGap, type Effort, type SplitRow } from './splits';

interface FinishPanelProps {
  readonly result: RunResult;
  readonly best?: Best;
  readonly targets?: Targets;
  readonly effort: Effort;
  readonly kind: CourseKind;
  readonly children: ReactNode;
}

const column = createColumnHelper<SplitRow>();
const COLUMNS = [
  column.accessor('name', { cell: ({ getValue }) => <Text as="small">{getValue()}</Text> }),
  column.accessor('time', {
    meta: { width: 92, figures: true },
    cell: ({ getValue }) => <Text as="figures">{runTime(getValue())}</Text>,
  }),
  column.accessor('best', {
    meta: { width: 84, figures: true },
    cell: ({ row: { original } }) => <Gap {...original} />,
  }),
] as ColumnDef<SplitRow, unknown>[];

function Gap({ time, best }: SplitRow) {
  if (best === undefined) return null;
  return (
    <Text as="figures" tint={time > best ? 'rust' : 'moss'}>
      {timeGap(time - best)}
    </Text>
  );
}

/** The time of a finished run, its splits against the best and the targets, and what to do next. */
export function FinishPanel({ result, best, targets, effort, kind, children }: FinishPanelProps) {
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const fewestWin = kind === 'strokes';
  return (
    <View
      pointerEvents="box-none"
      style={{
        position: 'absolute',
        inset: 0,
        zIndex: 2,
        alignItems: wide ? 'flex-end' : 'stretch',
        justifyContent: wide ? 'center' : 'flex-end',
        padding: wide ? SPACE.xl : 0,
      }}
    >
      <Card
        style={[
          { width: wide ? 380 : '100%', maxHeight: height * 0.72 },
          comesUp(),
          !wide && { borderBottomLeftRadius: 0, borderBottomRightRadius: 0 },
        ]}
      >
        <ScrollView contentContainerStyle={{ padding: SPACE.l, gap: SPACE.m }}>
          <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: SPACE.m }}>
            {fewestWin && <Text as="clock">{strokesText(result.jumps)}</Text>}
            <Text as={fewestWin ? 'figures' : 'clock'} testID="finish-time">
              {runTime(result.time)}
            </Text>
            {best && (
              <Text as="figures" tint={isBehind(kind, result, best) ? 'rust' : 'moss'}>
                {fewestWin && result.jumps !== best.jumps
                  ? strokeGap(result.jumps - best.jumps)
                  : timeGap(result.time - best.time)}
              </Text>
            )}
          </View>
          <Text as="small" tint="slate">
            {fewestWin ? runWords(result, undefined, undefined) : runWords(result, targets, effort)}
          </Text>
          <FigureTable label="Splits" rows={splitRows(result, best, effort)} columns={COLUMNS} />
          {children}
        </ScrollView>
      </Card>
    </View>
  );
}
