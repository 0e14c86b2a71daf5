import { useState } from 'react';
import { View } from 'react-native';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { RunSheet, WaySample } from '@/core/timing';
import { Chip, Text, timeGap, OneStop } from '../../parts';
import { SPACE } from '../../theme';
import { BesideKey } from './BesideKey';
import { besideLine } from './besideLines';
import { RunChart, type ChartCurve } from './RunChart';

const CHARTS = {
  gap: 'Gained and lost',
  speed: 'Speed',
  height: 'Height',
  beat: 'Off the beat',
} as const;
type ChartKind = keyof typeof CHARTS;

interface SheetChartsProps {
  readonly sheet: RunSheet;
  /** What the runs it is held against are called, in their order. */
  readonly names: readonly string[];
  /** The tick that is shown elsewhere, where there is one. */
  readonly at?: number;
  /** A finger touched a place of the way: the tick the run was there. */
  readonly onGo?: (tick: number) => void;
}

/** One figure along the way, of a few to choose from. */
export function SheetCharts({ sheet, names, at, onGo }: SheetChartsProps) {
  const compared = sheet.beside.length > 0;
  const [wanted, setWanted] = useState<ChartKind>('gap');
  const kind: ChartKind = compared || wanted !== 'gap' ? wanted : 'speed';
  const beats = (sheet.beat?.hits.length ?? 0) > 0;
  const kinds = (Object.keys(CHARTS) as ChartKind[]).filter(
    (one) => (one !== 'gap' || compared) && (one !== 'beat' || beats),
  );
  const signed = kind === 'gap' || kind === 'beat';
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="heading">Along the way</Text>
      <OneStop
        as="tablist"
        name="What is drawn along the way"
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
      </OneStop>
      <Text as="small" tint="slate">
        {chartWords(sheet, kind)}
      </Text>
      {compared && <BesideKey sheet={sheet} names={names} />}
      <RunChart
        label={`${CHARTS[kind]} along the way`}
        curves={chartCurves(sheet, kind)}
        length={sheet.length}
        marks={marksOf(sheet)}
        signed={signed}
        format={(value) => (signed ? timeGap(value).slice(0, 5) : String(value))}
        here={at === undefined ? undefined : alongAt(sheet.samples, at)}
        onTouch={onGo && ((along) => onGo(tickAlong(sheet.samples, along)))}
        testID={`chart-${kind}`}
      />
    </View>
  );
}

/** What a chart draws: the first with what lies under it filled. */
export function chartCurves(sheet: RunSheet, kind: ChartKind): ChartCurve[] {
  if (kind === 'beat') {
    const hits = sheet.beat?.hits ?? [];
    return [
      {
        points: hits.map(({ tick, late }) => ({
          along: alongAt(sheet.samples, tick),
          value: late,
        })),
      },
    ];
  }
  const beside = sheet.beside.map(({ points }, i): ChartCurve => ({
    points: points.map((point) => ({ along: point.along, value: point[kind] })),
    line: besideLine(i),
  }));
  if (kind === 'gap') return beside;
  const own = sheet.samples.map((sample) => ({ along: sample.along, value: sample[kind] }));
  return [{ points: own }, ...beside];
}

function chartWords({ length }: RunSheet, kind: ChartKind): string {
  if (kind === 'gap') return 'Seconds behind each, over the line, or ahead of it, under it.';
  if (kind === 'beat') return 'Seconds after the nearest beat, over the line, or before it.';
  return `In ${kind === 'speed' ? 'm/s' : 'm'}, over ${Math.round(length)} m.`;
}

/** How far along the way each part of a run ended, m. */
export function marksOf({ parts, samples }: Pick<RunSheet, 'parts' | 'samples'>): number[] {
  return parts.flatMap(({ at, key }) => {
    if (key === 'goal') return [];
    const sample = samples.find(({ tick }) => tick / TICKS_PER_SECOND >= at);
    return sample ? [sample.along] : [];
  });
}

/** How far along its way a run was at a tick, m. */
export const alongAt = (samples: readonly WaySample[], tick: number): number =>
  (samples.find((sample) => sample.tick >= tick) ?? samples[samples.length - 1])?.along ?? 0;

/** The tick at which a run first was so far along its way. */
export const tickAlong = (samples: readonly WaySample[], along: number): number =>
  (samples.find((sample) => sample.along >= along) ?? samples[samples.length - 1])?.tick ?? 0;
