import { pairWith, partnersOf } from '@/core/assemble';
import type { Piece } from '@/core/course';
import { Button, Row, Words } from '../../../parts';
import { glideTo } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useShown } from '../../../state/shown';
import { SPACE } from '../../../theme';
import { Section } from '../Section';
import { useTune } from '../tuneStore';
import { pieceName } from '../words';

/** What acts together with a portal, a switch or a gate, and a way to touch another. */
export function Partners({ piece }: { piece: Piece }) {
  const course = useShown((s) => s.course);
  const partners = partnersOf(course, piece);
  const portal = piece.family === 'portal';
  const pick = () =>
    useTune.getState().set({
      picking: {
        words: portal ? 'Touch the portal it leads to' : 'Touch what it acts with',
        take: (id) => useCourse.getState().edit((now) => pairWith(now, piece.id, id)),
      },
    });
  return (
    <Section title={portal ? 'Leads to' : 'Acts with'}>
      {partners.map((one) => (
        <Row
          key={one.id}
          onPress={() => {
            useCourse.getState().choose([one.id]);
            glideTo({ target: one.at });
          }}
        >
          <Words style={{ flex: 1, paddingVertical: SPACE.s }}>{pieceName(one)}</Words>
        </Row>
      ))}
      {partners.length === 0 && <Words tint="slate">Nothing yet.</Words>}
      <Button
        title={partners.length > 0 ? 'Touch another' : 'Touch its partner'}
        icon="crosshair"
        onPress={pick}
        testID="pick-partner"
      />
    </Section>
  );
}
