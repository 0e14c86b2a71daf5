import { View } from 'react-native';
import type { Course } from '@/core/course';
import type { Run } from '@/core/run';
import type { Opening } from '@/core/timing';
import { beginOpenings } from '@/workers/timing';
import { OpeningBar, Text } from '../../parts';
import { SPACE } from '../../theme';
import { AskedSection } from './AskedSection';
import { nameIn } from '../runs/nameIn';
import { useAskedJob } from './useAskedJob';

/** How early and late one may come, and how long one may have to wait, in words. */
export function openingWords(opening: Opening): string {
  const { clock, share, early, late, longestWait, period } = opening;
  if (clock === 'once') return onceWords(opening);
  if (share === 1) return 'Open all the time.';
  const open = `Open ${Math.round(share * 100)} % of ${period.toFixed(1)} s.`;
  return `${open} This run might have come ${early.toFixed(2)} s earlier or ${late.toFixed(2)} s later. Longest wait ${longestWait.toFixed(1)} s.`;
}

/** The same of what comes and goes by something that happens once. */
function onceWords({ passable, share, late, period }: Opening): string {
  if (share === 1) return 'Open however much later one comes.';
  const open = `This run might have come ${late.toFixed(2)} s later.`;
  const stays = passable.indexOf(true, Math.round(passable.length * (late / period)) + 1) < 0;
  return stays
    ? `${open} After that it stays shut.`
    : `${open} Open ${Math.round(share * 100)} % of the ${period.toFixed(0)} s from then on.`;
}

/** When one may come by each mover on the way, when asked for. */
export function Openings({ course, run }: { readonly course: Course; readonly run: Run }) {
  const job = useAskedJob((progress) => beginOpenings(course, run, progress));
  return (
    <AskedSection
      title="Openings"
      words="When one may come by each thing that moves on the way, over its clock."
      button="Look for openings"
      icon="clock"
      doing="Holding the runner before each mover"
      job={job}
      testID="openings"
    >
      {job.found && (
        <View style={{ alignSelf: 'stretch', gap: SPACE.m }} testID="openings-found">
          {job.found.length === 0 && (
            <Text tint="slate">Nothing moves by the way of this run.</Text>
          )}
          {job.found.map((opening) => (
            <Bars key={`${opening.piece} ${opening.kind}`} opening={opening} course={course} />
          ))}
        </View>
      )}
    </AskedSection>
  );
}

const KINDS = { by: '', on: ', getting on', off: ', getting off' } as const;

function Bars({ opening, course }: { readonly opening: Opening; readonly course: Course }) {
  const name = `${nameIn(course, opening.piece)}${KINDS[opening.kind]}`;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Text as="smallStrong">{name}</Text>
      <OpeningBar label={`${name}: ${openingWords(opening)}`} passable={opening.passable} />
      <Text as="small" tint="slate">
        {openingWords(opening)}
      </Text>
    </View>
  );
}
