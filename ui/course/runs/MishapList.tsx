import { View } from 'react-native';
import type { Course } from '@/core/course';
import { pieceName } from '@/core/pieces';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { Mishap, RunPart } from '@/core/timing';
import { Text } from '../../parts';
import { SPACE, useColours } from '../../theme';
import { nameIn } from './nameIn';
import type { KnownRun } from './runsKnown';

interface MishapProps {
  readonly course: Course;
  readonly mishaps: readonly Mishap[];
  /** The parts of the run, by which a place is named. */
  readonly parts: readonly RunPart[];
  readonly runs: readonly KnownRun[];
}

const WORDS: Record<Mishap['kind'], string> = {
  fall: 'Fell',
  hazard: 'Hit by',
  crush: 'Crushed',
};

/** What went wrong, in words: what did it, by the name it has in the course. */
export function mishapWords({ kind, piece }: Mishap, course: Course): string {
  const found = course.pieces.find(({ id }) => id === piece);
  if (!found) return kind === 'hazard' ? 'Hit' : WORDS[kind];
  const name = pieceName(found).toLowerCase();
  return kind === 'hazard' ? `${WORDS.hazard} ${name}` : `${WORDS[kind]} at ${name}`;
}

/** In which part of the run a tick was. */
export function partWords(tick: number, parts: readonly RunPart[]): string {
  const next = parts.find(({ at }) => at * TICKS_PER_SECOND >= tick);
  if (next) return `before ${next.name.toLowerCase()}`;
  const last = parts[parts.length - 1];
  return last ? `after ${last.name.toLowerCase()}` : 'after the start';
}

/** What went wrong in all of some runs, by what did it, the most often first: `fell 8 times`. */
export function mishapsOften(course: Course, runs: readonly KnownRun[]): string[] {
  const counts = new Map<string, number>();
  for (const { why, piece } of runs.flatMap(({ ends }) => ends)) {
    if (why === 'left') continue;
    const words = why === 'fall' || !piece ? 'fell' : nameIn(course, piece).toLowerCase();
    counts.set(words, (counts.get(words) ?? 0) + 1);
  }
  return [...counts]
    .sort(([, a], [, b]) => b - a)
    .map(([words, count]) => `${words} ${count === 1 ? 'once' : `${count} times`}`);
}

/** Falls and hits of a run, by place and time. */
export function MishapList({ course, mishaps, parts, runs }: MishapProps) {
  const colours = useColours();
  const often = mishapsOften(course, runs);
  return (
    <View style={{ gap: SPACE.xs }} testID="mishaps">
      <Text as="heading">Falls and hits</Text>
      {mishaps.length === 0 && <Text tint="slate">None in this run.</Text>}
      {mishaps.map((mishap) => (
        <View
          key={`${mishap.tick} ${mishap.kind}`}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            minHeight: 40,
            gap: SPACE.s,
            borderTopWidth: 1,
            borderColor: colours.line,
          }}
        >
          <View style={{ width: 12, height: 12, borderRadius: 3, backgroundColor: colours.rust }} />
          <Text as="small" style={{ flex: 1 }}>
            {mishapWords(mishap, course)}
          </Text>
          <Text as="small" tint="slate">
            {partWords(mishap.tick, parts)}
          </Text>
          <Text as="figures">{(mishap.tick / TICKS_PER_SECOND).toFixed(1)} s</Text>
        </View>
      ))}
      {runs.length > 1 && (
        <Text as="small" tint="slate" testID="mishaps-often">
          {`In ${runs.length} runs of the course as it is: ${often.join(', ') || 'none'}.`}
        </Text>
      )}
    </View>
  );
}
