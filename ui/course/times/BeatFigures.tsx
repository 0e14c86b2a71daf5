import { View } from 'react-native';
import type { Tempo } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import {
  type BeatFit,
  type BeatHit,
  type BeatSheet,
  type BeatShift,
  fittedTempo,
  shiftOntoBeat,
} from '@/core/timing';
import { Button, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { SPACE } from '../../theme';
import { noticeWithUndo } from '../open/undoNotice';

/** So many of the hits farthest off are named. */
const NAMED = 3;

/** How late something is against the beat, in words. */
export function lateWords(seconds: number): string {
  const ms = Math.round(seconds * 1000);
  if (ms === 0) return 'on the beat';
  return `${Math.abs(ms)} ms ${ms > 0 ? 'late' : 'early'}`;
}

/** The hits farthest off the beat, the worst first. */
export const farthestOff = (hits: readonly BeatHit[]): BeatHit[] =>
  [...hits].sort((a, b) => Math.abs(b.late) - Math.abs(a.late)).slice(0, NAMED);

const KINDS = { jump: 'Jump', land: 'Landing' } as const;

interface BeatProps {
  readonly beat: BeatSheet;
  readonly tempo: Tempo;
  readonly shifts: readonly BeatShift[];
}

/** What moving pieces onto the beat would do, or did, in words. */
export function shiftWords(shifts: readonly BeatShift[]): string {
  const count = new Set(shifts.flatMap(({ pieces }) => pieces)).size;
  const most = Math.max(...shifts.map(({ by }) => Math.hypot(...by)));
  return `${count} ${count === 1 ? 'piece' : 'pieces'} by up to ${most.toFixed(2)} m`;
}

/** How a run's jumps and landings keep to the course's beat, and moving the beat or the pieces to fit. */
export function BeatFigures({ beat, tempo, shifts }: BeatProps) {
  const fit = (which: BeatFit) => {
    const next = fittedTempo(beat.hits, tempo, which);
    useCourse.getState().edit((course) => ({ ...course, tempo: next }));
    noticeWithUndo(
      `The beat is ${next.beats} a minute, the first after ${(next.offset ?? 0).toFixed(3)} s.`,
    );
  };
  const shift = () => {
    useCourse.getState().edit((course) => shiftOntoBeat(course, shifts));
    noticeWithUndo(`Moved ${shiftWords(shifts)}.`);
  };
  return (
    <View style={{ gap: SPACE.s }} testID="on-the-beat">
      <Text as="heading">On the beat</Text>
      {beat.hits.length === 0 ? (
        <Text tint="slate">Nothing was jumped in this run.</Text>
      ) : (
        <>
          <Text as="small">
            {`${beat.hits.length} jumps and landings at ${tempo.beats} beats a minute: in the mean `}
            <Text as="smallFigures">{lateWords(beat.mean)}</Text>
            {', spread '}
            <Text as="smallFigures">{`${Math.round(beat.spread * 1000)} ms`}</Text>.
          </Text>
          {farthestOff(beat.hits).map((hit) => (
            <View
              key={`${hit.tick} ${hit.kind}`}
              style={{ flexDirection: 'row', alignItems: 'center', minHeight: 28, gap: SPACE.s }}
            >
              <Text as="small" style={{ flex: 1 }}>
                {`${KINDS[hit.kind]} at ${(hit.tick / TICKS_PER_SECOND).toFixed(1)} s`}
              </Text>
              <Text as="smallFigures">{lateWords(hit.late)}</Text>
            </View>
          ))}
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
            <Button title="Fit the first beat" onPress={() => fit('offset')} testID="fit-offset" />
            <Button title="Fit beat and tempo" onPress={() => fit('both')} testID="fit-both" />
          </View>
          {shifts.length > 0 && (
            <>
              <Text as="small" tint="slate">
                {`Or have the landings come with the beat: ${shiftWords(shifts)} along the way.`}
              </Text>
              <View style={{ alignItems: 'flex-start' }}>
                <Button title="Move pieces onto the beat" onPress={shift} testID="shift-pieces" />
              </View>
            </>
          )}
        </>
      )}
    </View>
  );
}
