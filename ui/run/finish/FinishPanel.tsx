import type { ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import type { CourseKind, Targets } from '@/core/course';
import { ranksBefore, type RunResult } from '@/core/run';
import { Card, comesUp, runTime, timeGap, Text } from '../../parts';
import { SPACE, useColours, WIDE } from '../../theme';
import type { Best } from './finished';

interface FinishPanelProps {
  readonly result: RunResult;
  readonly best?: Best;
  readonly targets?: Targets;
  /** What the runner makes: jumps or strokes. */
  readonly effort: 'jump' | 'stroke';
  readonly kind: CourseKind;
  readonly children: ReactNode;
}

/** The time of a finished run, its splits against the best and the targets, and what to do next. */
export function FinishPanel({ result, best, targets, effort, kind, children }: FinishPanelProps) {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const laps = result.rounds.length > 0;
  const rows = [
    ...result.splits.map((split) => ({
      name: `${laps ? `Round ${split.round + 1}, checkpoint` : 'Checkpoint'} ${split.number}`,
      time: split.time,
      best: best?.splits.find(({ piece, round }) => piece === split.piece && round === split.round)
        ?.time,
    })),
    ...result.rounds.map((time, i) => ({
      name: `Round ${i + 1}${time === Math.min(...result.rounds) ? ', the best' : ''}`,
      time,
      best: best?.rounds[i],
    })),
    ...result.legs.map(({ strokes, time }, i) => ({
      name:
        effort === 'stroke'
          ? `Leg ${i + 1}, ${strokes} ${strokes === 1 ? 'stroke' : 'strokes'}`
          : `Leg ${i + 1}`,
      time,
      best: undefined,
    })),
    { name: 'Goal', time: result.time, best: best?.time },
  ];
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
            <Text as="clock" testID="finish-time">
              {runTime(result.time)}
            </Text>
            {best && (
              <Text as="figures" tint={isBehind(kind, result, best) ? 'rust' : 'moss'}>
                {kind === 'strokes' && result.jumps !== best.jumps
                  ? strokeGap(result.jumps - best.jumps)
                  : timeGap(result.time - best.time)}
              </Text>
            )}
          </View>
          <Text as="small" tint="slate">
            {[
              result.pickups > 0 && `${result.gathered} of ${result.pickups} shells`,
              result.falls === 0
                ? 'no falls'
                : `${result.falls} ${result.falls === 1 ? 'fall' : 'falls'}`,
              result.jumps > 0 && `${result.jumps} ${effort}${result.jumps === 1 ? '' : 's'}`,
              targets && targetWord(result.time, targets),
            ]
              .filter(Boolean)
              .join(' · ')}
          </Text>
          <View>
            {rows.map((row) => (
              <View
                key={row.name}
                style={{
                  flexDirection: 'row',
                  alignItems: 'center',
                  minHeight: 36,
                  borderTopWidth: 1,
                  borderColor: colours.line,
                }}
              >
                <Text as="small" style={{ flex: 1 }}>
                  {row.name}
                </Text>
                <Text as="figures">{runTime(row.time)}</Text>
                <Text
                  as="figures"
                  tint={row.best !== undefined && row.time > row.best ? 'rust' : 'moss'}
                  style={{ width: 84, textAlign: 'right' }}
                >
                  {row.best === undefined ? '' : timeGap(row.time - row.best)}
                </Text>
              </View>
            ))}
          </View>
          {children}
        </ScrollView>
      </Card>
    </View>
  );
}

/** Whether a result ranks after the best. */
const isBehind = (kind: CourseKind, { jumps, time }: RunResult, best: Best): boolean =>
  ranksBefore(kind, { strokes: best.jumps, time: best.time }, { strokes: jumps, time });

/** By how many strokes a run is off another, in words. */
const strokeGap = (by: number): string =>
  `${by > 0 ? '+' : '−'}${Math.abs(by)} ${Math.abs(by) === 1 ? 'stroke' : 'strokes'}`;

/** The best target that was met, or how far off the easiest one was. */
function targetWord(time: number, { steady, brisk, swift }: Targets): string {
  if (time <= swift) return 'swift';
  if (time <= brisk) return `brisk, ${(time - swift).toFixed(1)} s from swift`;
  if (time <= steady) return `steady, ${(time - brisk).toFixed(1)} s from brisk`;
  return `${(time - steady).toFixed(1)} s from steady`;
}
