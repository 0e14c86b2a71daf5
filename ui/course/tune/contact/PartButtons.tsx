import {
  centredPart,
  dentOf,
  fittedPart,
  refittedPart,
  splitOutline,
  splitShapeEdge,
  withPart,
} from '@/core/edit';
import type { Piece, ShapePart } from '@/core/course';
import { View } from 'react-native';
import { Button, Chip, Text } from '../../../parts';
import { SPACE } from '../../../theme';
import { Flow } from '../../parts/Section';
import type { DraftEvent, ShapeDraft } from './shapeDraft';

interface PartsProps {
  readonly piece: Piece;
  readonly draft: ShapeDraft;
  readonly send: (event: DraftEvent) => void;
}

const PART_WORDS: Record<ShapePart['kind'], string> = {
  ball: 'Ball',
  box: 'Box',
  capsule: 'Capsule',
  outline: 'Outline',
};

/** The corner of the held part that makes it hollow, or -1. */
export function dentOfHeld({ shape, held }: ShapeDraft): number {
  const part = shape.parts[held.part];
  return part?.kind === 'outline' ? dentOf(part.points) : -1;
}

/** Says that the held part is hollow, and parts it. */
export function DentNotice({ draft, send }: Omit<PartsProps, 'piece'>) {
  const { shape, held } = draft;
  const part = shape.parts[held.part];
  const dent = dentOfHeld(draft);
  if (dent < 0 || part.kind !== 'outline') return null;
  const others = shape.parts.filter((_, i) => i !== held.part);
  return (
    <View style={{ gap: SPACE.s }}>
      <Text tint="rust" accessibilityRole="alert">
        {`Corner ${dent + 1} makes a dent. A part has to be convex.`}
      </Text>
      <Button
        title="Split into parts"
        kind="main"
        icon="scissors"
        onPress={() =>
          send({ do: 'change', shape: { ...shape, parts: [...others, ...splitOutline(part)] } })
        }
      />
    </View>
  );
}

/** The parts there are, one of them held, and what can be added. */
export function PartTabs({ piece, draft: { shape, held }, send }: PartsProps) {
  return (
    <>
      <Flow>
        {shape.parts.map((one, i) => (
          <Chip
            key={i}
            role="tab"
            label={`${PART_WORDS[one.kind]} ${i + 1}`}
            on={i === held.part}
            onPress={() => send({ do: 'hold', held: { part: i, point: -1 } })}
          />
        ))}
      </Flow>
      <Flow>
        {(['ball', 'box', 'capsule'] as const).map((kind) => (
          <Button
            key={kind}
            title={`Add a ${kind}`}
            onPress={() =>
              send({
                do: 'change',
                shape: { ...shape, parts: [...shape.parts, fittedPart(piece, kind)] },
                held: { part: shape.parts.length, point: -1 },
              })
            }
          />
        ))}
      </Flow>
    </>
  );
}

/** What is done to the part that is held, and to the point of it that is. */
export function PartButtons({ piece, draft: { shape, held }, send }: PartsProps) {
  const part = shape.parts[held.part];
  const become = (next: ShapePart | null) =>
    send({ do: 'change', shape: withPart(shape, held.part, next) });
  return (
    <Flow>
      {part && (
        <>
          <Button
            title="Centre"
            icon="crosshair"
            onPress={() => become(centredPart(piece, part))}
          />
          <Button
            title="Fit to the picture"
            icon="maximize"
            onPress={() => become(refittedPart(piece, part))}
          />
        </>
      )}
      {part?.kind === 'outline' && held.point >= 0 && (
        <>
          <Button
            title="Split the edge after it"
            icon="plus"
            onPress={() => become(splitShapeEdge(part, held.point))}
          />
          <Button
            title="Take the point away"
            icon="trash-2"
            disabled={part.points.length <= 3}
            onPress={() => {
              const points = part.points.filter((_, i) => i !== held.point);
              const shorter = withPart(shape, held.part, { ...part, points });
              send({ do: 'change', shape: shorter, held: { ...held, point: -1 } });
            }}
          />
        </>
      )}
      {shape.parts.length > 1 && (
        <Button title="Take the part away" icon="trash-2" onPress={() => become(null)} />
      )}
    </Flow>
  );
}
