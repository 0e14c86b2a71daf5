import { useState } from 'react';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { Run } from '@/core/run';
import type { RunSheet } from '@/core/timing';
import { Chip, runTime, Text, timeGap } from '../../parts';
import { SPACE } from '../../theme';
import { MishapList } from './MishapList';
import { PartsTable } from './PartsTable';
import { RunChart } from './RunChart';
import type { KnownRun } from './runsKnown';
import { SpentBar } from './SpentBar';

interface SheetProps {
  readonly course: Course;
  readonly shown: KnownRun;
  readonly runs: readonly KnownRun[];
  readonly sheet: RunSheet;
  /** What it is held against. */
  readonly rival: Run | null;
}

/** All figures of one run. */
export function SheetView({ course, shown, runs, sheet, rival }: SheetProps) {
  const gap = rival && sheet.finished ? sheet.time - rival.claim : null;
  return (
    <>
      <View style={{ gap: SPACE.xs }}>
        <Text as="smallStrong" tint="slate">
          {shown.name}
        </Text>
        <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: SPACE.m }}>
          <Text as="clock" testID="times-time">
            {runTime(sheet.time)}
          </Text>
          {gap !== null && (
            <Text as="figures" tint={gap > 0 ? 'rust' : 'moss'}>
              {timeGap(gap)}
            </Text>
          )}
        </View>
        {!sheet.finished && <Text tint="slate">It did not get to the lantern.</Text>}
      </View>
      <SpentBar spent={sheet.spent} />
      <Charts sheet={sheet} />
      <PartsTable parts={sheet.parts} runs={runs} targets={course.targets} />
      <MishapList course={course} mishaps={sheet.mishaps} runs={runs} />
    </>
  );
}

const CHARTS = { gap: 'Gained and lost', speed: 'Speed', height: 'Height' } as const;
type ChartKind = keyof typeof CHARTS;

/** One figure along the way, of a few to choose from. */
function Charts({ sheet }: { sheet: RunSheet }) {
  const compared = sheet.gaps.length > 0;
  const [wanted, setWanted] = useState<ChartKind>('gap');
  const kind: ChartKind = compared || wanted !== 'gap' ? wanted : 'speed';
  const kinds = (Object.keys(CHARTS) as ChartKind[]).filter((one) => one !== 'gap' || compared);
  const points =
    kind === 'gap'
      ? sheet.gaps.map(({ along, gap }) => ({ along, value: gap }))
      : sheet.samples.map((sample) => ({ along: sample.along, value: sample[kind] }));
  const unit = { gap: 's', speed: 'm/s', height: 'm' }[kind];
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="heading">Along the way</Text>
      <View
        accessibilityRole="tablist"
        aria-label="What is drawn along the way"
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}
      >
        {kinds.map((one) => (
          <Chip
            key={one}
            role="tab"
            label={CHARTS[one]}
            on={one === kind}
            onPress={() => setWanted(one)}
          />
        ))}
      </View>
      <Text as="small" tint="slate">
        {kind === 'gap'
          ? 'Seconds behind, over the line, or ahead, under it.'
          : `In ${unit}, over ${Math.round(sheet.length)} m.`}
      </Text>
      <RunChart
        label={`${CHARTS[kind]} along the way`}
        points={points}
        length={sheet.length}
        marks={marksOf(sheet)}
        signed={kind === 'gap'}
        format={(value) => (kind === 'gap' ? timeGap(value).slice(0, 4) : String(value))}
        testID={`chart-${kind}`}
      />
    </View>
  );
}

/** How far along the way each part of a run ended, m. */
export function marksOf({ parts, samples }: Pick<RunSheet, 'parts' | 'samples'>): number[] {
  return parts.flatMap(({ at, key }) => {
    if (key === 'goal') return [];
    const sample = samples.find(({ tick }) => tick / TICKS_PER_SECOND >= at);
    return sample ? [sample.along] : [];
  });
}
