import { router } from 'expo-router';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import { allow } from '@/core/edit';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { UnfairHit } from '@/core/timing';
import { Button, showToast } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { SPACE } from '../../../theme';
import { nameIn } from '../../runs/nameIn';
import { FairRow } from './FairRow';
import { length, mendedWords, mendWords } from './words';
import { coursePage } from '../../../device/routes';

interface UnfairProps {
  readonly id: string;
  readonly course: Course;
  readonly hits: readonly UnfairHit[];
  readonly onWatch: (tick: number) => void;
}

/** Hits in which the pictures did not meet, each mended by one touch; the course is then shown with the piece chosen. */
export function UnfairHits({ id, course, hits, onWatch }: UnfairProps) {
  const mend = (hit: UnfairHit) => {
    const { edit, choose, undo } = useCourse.getState();
    edit((now) => allow(now, hit.piece, hit.mend.part, hit.mend.allowance));
    choose([hit.piece]);
    router.dismissTo(coursePage(id, 'tune'));
    showToast(mendedWords(hit, nameIn(course, hit.piece)), {
      label: 'Undo',
      act: undo,
    });
  };
  if (hits.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }} testID="fair-unfair">
      {hits.map((hit) => (
        <View key={hit.tick} style={{ gap: SPACE.xs, alignItems: 'flex-start' }}>
          <View style={{ alignSelf: 'stretch' }}>
            <FairRow
              title={nameIn(course, hit.piece)}
              fault={`Hit ${length(hit.gap)} off its picture.`}
              lines={[]}
              at={hit.tick / TICKS_PER_SECOND}
              onPress={() => onWatch(hit.tick - 1)}
            />
          </View>
          <Button
            title={mendWords(hit)}
            icon="tool"
            onPress={() => mend(hit)}
            testID={`fair-mend-${hit.piece}`}
          />
        </View>
      ))}
    </View>
  );
}
