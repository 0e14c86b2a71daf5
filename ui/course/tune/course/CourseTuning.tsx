import { useState } from 'react';
import { View } from 'react-native';
import type { Piece } from '@/core/course';
import { checkpointNumber, familyOf, legOf } from '@/core/pieces';
import { Chip, Text, OneStop } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { PieceList } from '../../parts/PieceList';
import { CourseRules } from './CourseRules';
import { AllLinks } from '../links';
import { MOTION_WORDS, roleWords } from '../../open/pieceWords';

const COURSE_TABS = { pieces: 'Pieces', links: 'Links', course: 'Course' } as const;
type CourseTab = keyof typeof COURSE_TABS;

/** What there is to tune: the pieces that act, the links, and what holds for the whole course. */
export function CourseTuning() {
  const [tab, setTab] = useState<CourseTab>('pieces');
  return (
    <View style={{ gap: SPACE.m }}>
      <OneStop as="tablist" name="Of the course" style={{ flexDirection: 'row', gap: SPACE.xs }}>
        {(Object.keys(COURSE_TABS) as CourseTab[]).map((value) => (
          <Chip
            key={value}
            role="tab"
            label={COURSE_TABS[value]}
            on={tab === value}
            onPress={() => setTab(value)}
          />
        ))}
      </OneStop>
      {tab === 'pieces' && <ActingPieces />}
      {tab === 'links' && <AllLinks />}
      {tab === 'course' && <CourseRules />}
    </View>
  );
}

/** What a piece of the list is, with its number where it has one. */
function actsAs(piece: Piece): string {
  if (piece.family === 'cairn') return `Checkpoint ${checkpointNumber(piece)}`;
  const words = piece.loose
    ? 'Loose: falls and is pushed'
    : piece.thrower
      ? `Sends out ${familyOf(piece.thrower.what).label.toLowerCase()}s`
      : piece.motion
        ? `Moves: ${piece.motion.map(({ kind }) => MOTION_WORDS[kind].toLowerCase()).join(', ')}`
        : roleWords(piece);
  const leg = legOf(piece);
  return leg > 1 ? `${words}, leg ${leg}` : words;
}

/** What acts on the runner, named. */
function ActingPieces() {
  const { course } = useEditing();
  const acting = course.pieces.filter(acts);
  return (
    <View>
      <Text tint="slate" style={{ paddingBottom: SPACE.s }}>
        Touch a piece in the course to tune it, or choose one here.
      </Text>
      <PieceList pieces={acting} tell={actsAs} />
    </View>
  );
}

const ACTING: readonly string[] = ['hazards', 'movers', 'marks', 'regions'];

/** Whether a piece does something; what is merely gathered is not listed. */
function acts({ family, motion, loose, thrower, role }: Piece): boolean {
  const { group, worth } = familyOf(family);
  return Boolean(
    (ACTING.includes(group) && worth === undefined) || motion || loose || thrower || role,
  );
}
