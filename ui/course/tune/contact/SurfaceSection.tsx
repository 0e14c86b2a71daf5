import { localGeometry } from '@/core/pieces';
import { setBehaviour } from '@/core/edit';
import type { Piece } from '@/core/course';
import { Choices, NumberField } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { Section } from '../../parts/Section';

/** What a piece has where it is first given a surface of its own. */
const LIVELY = 0.5;

/** Bounce and grip of the chosen pieces. */
export function SurfaceSection({ piece }: { piece: Piece }) {
  const { choice, edit } = useEditing();
  const { surface } = piece;
  const usualGrip = localGeometry(piece).shapes.find((shape) => shape.surface)?.surface?.grip ?? 1;
  const set = (next: Piece['surface'], merge?: string) =>
    edit((now) => setBehaviour(now, choice, 'surface', next), merge);
  return (
    <Section title="Surface">
      <Choices
        value={surface ? 'own' : 'usual'}
        options={[
          { value: 'usual', label: 'As usual' },
          { value: 'own', label: 'Its own bounce and grip' },
        ]}
        onChange={(next) => set(next === 'own' ? { bounce: LIVELY, grip: usualGrip } : undefined)}
      />
      {surface && (
        <>
          <NumberField
            label="Bounce"
            unit="%"
            step={5}
            value={100 * (surface.bounce ?? 0)}
            testID="surface-bounce"
            onChange={(percent) => set({ ...surface, bounce: percent / 100 }, 'bounce')}
          />
          <NumberField
            label="Grip"
            unit="%"
            step={10}
            value={100 * (surface.grip ?? usualGrip)}
            testID="surface-grip"
            onChange={(percent) => set({ ...surface, grip: percent / 100 }, 'grip')}
          />
        </>
      )}
    </Section>
  );
}
