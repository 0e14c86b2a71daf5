import { memo } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { chosenOf } from '@/core/edit';
import type { Piece } from '@/core/course';
import { Chip, IconButton, OneStop } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useEditing } from '../../state/panelSnapshot';
import { useSame } from '../../state/useSame';
import { SPACE, WIDE } from '../../theme';
import { ContactSection } from '../tune/contact/ContactSection';
import { CourseTuning } from '../tune/course/CourseTuning';
import { PieceLinks } from '../tune/links';
import { MotionSection } from '../tune/motion/MotionSection';
import { PieceFigures } from '../tune/figures/PieceFigures';
import { endTuning, TUNE_TABS, useTune, type TuneTab } from '../open/tuneStore';

const TAB_WORDS: Record<TuneTab, string> = {
  place: 'Figures',
  contact: 'Contact',
  motion: 'Motion',
  links: 'Links',
};

/** The chosen piece in all that can be set of it, or what there is to tune in the course. */
export function TunePanel() {
  const { course, choice } = useEditing();
  const chosen = useSame(chosenOf(course, choice));
  return chosen.length > 0 ? <PieceTuning chosen={chosen} /> : <CourseTuning />;
}

const PieceTuning = memo(function PieceTuning({ chosen }: { chosen: readonly Piece[] }) {
  const [piece] = chosen;
  const tab = useTune((s) => s.tab);
  const wide = useWindowDimensions().width >= WIDE;
  return (
    <View style={{ gap: SPACE.m }}>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <OneStop
          as="tablist"
          name="Of the piece"
          style={{ flex: 1, flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}
        >
          {TUNE_TABS.map((value) => (
            <Chip
              key={value}
              role="tab"
              tight={wide}
              label={TAB_WORDS[value]}
              on={tab === value}
              onPress={() =>
                useTune.getState().set({ tab: value, drawingPath: false, posing: null, link: null })
              }
            />
          ))}
        </OneStop>
        {/* Where there is room the list stands beside. */}
        {!wide && (
          <IconButton
            icon="list"
            label="All pieces"
            onPress={() => {
              endTuning();
              useCourse.getState().choose([]);
            }}
          />
        )}
      </View>
      {tab === 'place' && <PieceFigures chosen={chosen} />}
      {tab === 'contact' && <ContactSection key={piece.id} piece={piece} />}
      {tab === 'motion' && <MotionSection key={piece.id} piece={piece} />}
      {tab === 'links' && <PieceLinks key={piece.id} piece={piece} />}
    </View>
  );
});
