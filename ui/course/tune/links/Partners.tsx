import { pairMisfit, pairWith, partnersOf } from '@/core/edit';
import type { Piece } from '@/core/course';
import { Button, ListItem, Text } from '../../../parts';
import { glideTo } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { usePanelSnapshot } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { Section } from '../../parts/Section';
import { useTune } from '../../open/tuneStore';
import { pieceName } from '../../open/pieceWords';

/** What acts together with a portal, a switch or a gate, and a way to touch another. */
export function Partners({ piece }: { piece: Piece }) {
  const course = usePanelSnapshot((s) => s.course);
  const partners = partnersOf(course, piece);
  const portal = piece.family === 'portal';
  const pick = () =>
    useTune.getState().set({
      picking: {
        misfit: (_, other) => pairMisfit(piece, other),
        words: portal ? 'Touch the portal it leads to' : 'Touch what it acts with',
        take: (id) => useCourse.getState().edit((now) => pairWith(now, piece.id, id)),
      },
    });
  return (
    <Section title={portal ? 'Leads to' : 'Acts with'}>
      {partners.map((one) => (
        <ListItem
          key={one.id}
          onPress={() => {
            useCourse.getState().choose([one.id]);
            glideTo({ target: one.at });
          }}
        >
          <Text style={{ flex: 1, paddingVertical: SPACE.s }}>{pieceName(one)}</Text>
        </ListItem>
      ))}
      {partners.length === 0 && <Text tint="slate">Nothing yet.</Text>}
      <Button
        title={partners.length > 0 ? 'Touch another' : 'Touch its partner'}
        icon="crosshair"
        onPress={pick}
        testID="pick-partner"
      />
    </Section>
  );
}
