import { View } from 'react-native';
import { familyOf } from '@/core/pieces';
import { Button, Card, Chip, IconButton, shortNumber, Text, OneStop } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { SPACE } from '../../../theme';
import { buildCommands } from '../../open/chosenEdits';
import { hintFor } from '../../commands/keys';
import { useLayOf } from '../../open/laying';
import { useGhost } from '../../scene/useGhost';

/** What is sized, along each axis. */
const SIZES = [
  { label: 'Width', less: ['Narrower', 'narrower'], more: ['Wider', 'wider'] },
  { label: 'Height', less: ['Less tall', 'flatter'], more: ['Taller', 'taller'] },
  { label: 'Depth', less: ['Less deep', 'shallower'], more: ['Deeper', 'deeper'] },
] as const;
/** Axes to turn about, as they are called. */
const TURNS = [
  { axis: 1, label: 'Upright' },
  { axis: 0, label: 'Along x' },
  { axis: 2, label: 'Along z' },
] as const;

/**
 * The piece in hand in one line: what it is, turning it, a large way to stop; pulled up, all else that can be done
 * with it before it lands.
 */
export function HandCard() {
  const inHand = useCourse((s) => s.inHand);
  const { handOpen, rowing, toggleHandOpen, toggleRowing } = useLayOf(
    'handOpen',
    'rowing',
    'toggleHandOpen',
    'toggleRowing',
  );
  if (!inHand) return null;
  const { turn, done } = buildCommands;
  return (
    <Card style={{ padding: SPACE.xs, paddingLeft: SPACE.m, gap: 2 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ flex: 1, minWidth: 0 }}>
          <Text as="strong" testID="hand-name">
            {familyOf(inHand.family).label} in hand
          </Text>
          <Landing />
        </View>
        <IconButton icon="rotate-ccw" label="Turn" hint={hintFor('turn')} onPress={() => turn(1)} />
        <IconButton
          icon="more-horizontal"
          label="Row"
          labelled
          on={rowing}
          hint={hintFor('hand.row')}
          onPress={() => toggleRowing()}
          testID="hand-row"
        />
        <IconButton
          icon={handOpen ? 'chevron-down' : 'chevron-up'}
          label={handOpen ? 'Less about what is in hand' : 'More about what is in hand'}
          onPress={() => toggleHandOpen()}
          testID="hand-more"
        />
        <Button kind="main" title="Done" onPress={done} testID="hand-done" />
      </View>
      {handOpen && <More />}
    </Card>
  );
}

/** Raising, flipping, turning about other axes, and sizes. */
function More() {
  const inHand = useCourse((s) => s.inHand);
  const { handAxis, turnHandAbout } = useLayOf('handAxis', 'turnHandAbout');
  if (!inHand) return null;
  const { turn, raise, flip } = buildCommands;
  const { sizable, size } = familyOf(inHand.family);
  return (
    <View style={{ gap: SPACE.xs, paddingRight: SPACE.s }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', marginLeft: -SPACE.s }}>
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
      </View>
      <OneStop
        as="radiogroup"
        name="Turns about"
        style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.xs, flexWrap: 'wrap' }}
      >
        <Text as="small" tint="slate">
          Turns about
        </Text>
        {TURNS.map(({ axis, label }) => (
          <Chip
            key={axis}
            role="radio"
            tight
            label={label}
            on={handAxis === axis}
            onPress={() => turnHandAbout(axis)}
          />
        ))}
      </OneStop>
      {sizable && <Sizes size={inHand.size ?? size} />}
    </View>
  );
}

/** A step less and more along each axis. */
function Sizes({ size }: { size: readonly number[] }) {
  const { sizeInHand } = buildCommands;
  return (
    <View style={{ flexDirection: 'row', gap: SPACE.xs }}>
      {SIZES.map(({ label, less, more }, axis) => (
        <View key={label} style={{ flex: 1, alignItems: 'center' }}>
          <Text as="small" tint="slate">
            {label} {shortNumber(size[axis])}
          </Text>
          <View style={{ flexDirection: 'row' }}>
            <IconButton
              icon="minus"
              label={less[0]}
              hint={hintFor(less[1])}
              onPress={() => sizeInHand(axis as 0 | 1 | 2, -1)}
            />
            <IconButton
              icon="plus"
              label={more[0]}
              hint={hintFor(more[1])}
              onPress={() => sizeInHand(axis as 0 | 1 | 2, 1)}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

/** Its size and turn, or why it may not be laid where its ghost stands. */
function Landing() {
  const inHand = useCourse((s) => s.inHand);
  const ghost = useGhost();
  if (!inHand) return null;
  if (ghost?.refused) {
    return (
      <Text as="small" tint="rust">
        {ghost.refused}
      </Text>
    );
  }
  const { sizable, size } = familyOf(inHand.family);
  const turn = ghost?.piece.turn?.[1];
  return (
    <Text as="smallFigures" tint="slate">
      {[
        sizable ? (inHand.size ?? size).map(shortNumber).join(' × ') : 'Tap to lay',
        turn ? `${shortNumber(Math.round(turn * 100) / 100)}°` : '',
        inHand.flip ? 'flipped' : '',
      ]
        .filter(Boolean)
        .join('  ')}
    </Text>
  );
}
