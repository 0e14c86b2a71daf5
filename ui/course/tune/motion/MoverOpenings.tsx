import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import type { Piece } from '@/core/course';
import { shiftPhase } from '@/core/edit';
import { beginOpenings } from '@/workers/timing';
import { OpeningBar, Text } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE, TARGET } from '../../../theme';
import { AskedSection } from '../../parts/AskedSection';
import { openingWords } from '../../parts/Openings';
import { useAskedJob } from '../../parts/useAskedJob';
import { useKnownRuns } from '../../runs/useKnownRuns';
import { pieceName } from '../../open/pieceWords';
import { type KnownOpening, openingNow } from './knownOpening';
import { usePhaseDrag } from './usePhaseDrag';

/** When one may come by a mover, by the best run there is; its bar is dragged to have it earlier or later. */
export function MoverOpenings({ piece }: { readonly piece: Piece }) {
  const { course } = useEditing();
  const id = useCourse((s) => s.id);
  const [known, setKnown] = useState<KnownOpening | null>(null);
  const opening = known && openingNow(known, course, piece.id);
  // While only the phase changes, nothing is asked of runs: no step of a drag waits for that.
  const run = useKnownRuns(id, opening ? known.course : course).find('best');
  const asked = useRef(course);
  const job = useAskedJob((progress) => {
    asked.current = course;
    return beginOpenings(course, run!.run, progress, piece.id);
  });
  useEffect(() => {
    if (job.found) setKnown({ course: asked.current, opening: job.found[0] ?? null });
  }, [job.found]);
  // The phase of what was found may be changed; whatever else was, only a run of the course as it is tells.
  if (!run && !opening) return null;
  return (
    <AskedSection
      title="Openings"
      words="When one may come by it, by the best run there is."
      button={known ? 'Look again' : 'Look for its openings'}
      icon="clock"
      doing="Holding the runner before it"
      job={opening ? job : { ...job, found: null }}
      testID="mover-openings"
    >
      {known && !opening && (
        <Text as="small" tint="slate">
          {known.opening
            ? 'Something else has changed since they were looked for.'
            : 'The best run does not come by it.'}
        </Text>
      )}
      {opening && (
        <OpeningRow
          piece={piece}
          passable={opening.passable}
          words={openingWords(opening)}
          seconds={opening.period}
        />
      )}
    </AskedSection>
  );
}

interface OpeningRowProps {
  readonly piece: Piece;
  readonly passable: readonly boolean[];
  readonly words: string;
  /** What the bar covers, s. */
  readonly seconds: number;
}

function OpeningRow({ piece, passable, words, seconds }: OpeningRowProps) {
  const { edit } = useEditing();
  const drag = usePhaseDrag(seconds, (by) =>
    edit((now) => shiftPhase(now, piece.id, by), `phase ${piece.id}`),
  );
  return (
    <View style={{ alignSelf: 'stretch', gap: SPACE.xs }}>
      <View
        {...drag}
        testID="mover-opening"
        accessibilityLabel={`Openings of ${pieceName(piece)}`}
        style={{ minHeight: TARGET, justifyContent: 'center' }}
      >
        <OpeningBar label={words} passable={passable} />
      </View>
      <Text as="small" tint="slate" testID="mover-opening-words">
        {words}
      </Text>
      <Text as="small" tint="slate">
        Drag the bar, or use the arrow keys on it, to have it earlier or later.
      </Text>
    </View>
  );
}
