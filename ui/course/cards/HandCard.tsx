import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { familyOf } from '@/core/pieces';
import { Button, Card, IconButton, shortNumber, Words } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { SPACE, TARGET } from '../../theme';
import { buildCommands } from '../commands';
import { hintFor } from '../keys';
import { useGhost } from '../useGhost';

/** What is sized, along each axis. */
const SIZES = [
  { label: 'Width', less: ['Narrower', 'narrower'], more: ['Wider', 'wider'] },
  { label: 'Height', less: ['Less tall', 'flatter'], more: ['Taller', 'taller'] },
  { label: 'Depth', less: ['Less deep', 'shallower'], more: ['Deeper', 'deeper'] },
] as const;

/** The piece in hand: what it is, turning, raising, sizing and flipping it, and a large way to stop. */
export function HandCard() {
  const inHand = useCourse((s) => s.inHand);
  const [axis, setAxis] = useState<0 | 1 | 2>(0);
  if (!inHand) return null;
  const family = familyOf(inHand.family);
  const { turn, raise, sizeInHand, flip, done } = buildCommands;
  const { label, less, more } = SIZES[axis];
  const next = ((axis + 1) % 3) as 0 | 1 | 2;
  return (
    <Card style={{ padding: SPACE.s, paddingLeft: SPACE.m, gap: 2 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ flex: 1, minWidth: 0 }}>
          <Words as="strong" numberOfLines={1}>
            {family.label} in hand
          </Words>
          <Landing />
        </View>
        <Button kind="main" title="Done" onPress={done} testID="hand-done" />
      </View>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', marginLeft: -SPACE.s }}>
        <IconButton icon="rotate-ccw" label="Turn" hint={hintFor('turn')} onPress={() => turn(1)} />
        <IconButton
          icon="rotate-cw"
          label="Turn back"
          hint={hintFor('turn.back')}
          onPress={() => turn(-1)}
        />
        <IconButton
          icon="chevrons-up"
          label="Raise"
          hint={hintFor('raise')}
          onPress={() => raise(1)}
        />
        <IconButton
          icon="chevrons-down"
          label="Lower"
          hint={hintFor('lower')}
          onPress={() => raise(-1)}
        />
        <IconButton
          icon="repeat"
          label="Exchange left and right"
          hint={hintFor('flip')}
          onPress={flip}
        />
        {family.sizable && (
          <>
            <IconButton
              icon="minimize-2"
              label={less[0]}
              hint={hintFor(less[1])}
              onPress={() => sizeInHand(axis, -1)}
            />
            <IconButton
              icon="maximize-2"
              label={more[0]}
              hint={hintFor(more[1])}
              onPress={() => sizeInHand(axis, 1)}
            />
            <Pressable
              accessibilityRole="button"
              accessibilityLabel={`Sizes its ${label.toLowerCase()}; next is ${SIZES[next].label.toLowerCase()}`}
              onPress={() => setAxis(next)}
              testID="hand-axis"
              style={{ minWidth: TARGET, minHeight: TARGET, justifyContent: 'center' }}
            >
              <Words as="small" centred>
                {label}
              </Words>
            </Pressable>
          </>
        )}
      </View>
    </Card>
  );
}

/** Its size and turn, or why it may not be laid where its ghost stands. */
function Landing() {
  const inHand = useCourse((s) => s.inHand);
  const ghost = useGhost();
  if (!inHand) return null;
  if (ghost?.refused) {
    return (
      <Words as="small" tint="rust" numberOfLines={1}>
        {ghost.refused}
      </Words>
    );
  }
  const { sizable, size } = familyOf(inHand.family);
  const turn = ghost?.piece.turn?.[1];
  return (
    <Words as="smallFigures" tint="slate" numberOfLines={1}>
      {[
        sizable ? (inHand.size ?? size).map(shortNumber).join(' × ') : 'Tap to lay',
        turn ? `${shortNumber(Math.round(turn * 100) / 100)}°` : '',
        inHand.flip ? 'flipped' : '',
      ]
        .filter(Boolean)
        .join('  ')}
    </Words>
  );
}
