import { Pressable, View } from 'react-native';
import Feather from '@expo/vector-icons/Feather';
import { Text } from '../../../parts';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useDebouncedCourse } from '../../../state/debouncedCourse';
import { RADIUS, SPACE, TARGET, useColours } from '../../../theme';
import { gravest, wayWords } from './wayWords';
import { useWays } from './wayStore';

/** Whether the runs there are still lead through; touched, it looks at where one ends. */
export function WaySaid() {
  const colours = useColours();
  const course = useDebouncedCourse();
  const said = useWays((s) => s.said);
  const worst = gravest(said);
  if (!worst) return null;
  const { verdict } = worst;
  const ends = verdict.kind === 'ends' ? verdict : null;
  const [icon, tint] = ends
    ? (['x-octagon', colours.rust] as const)
    : verdict.kind === 'holds'
      ? (['check-circle', colours.moss] as const)
      : (['refresh-cw', colours.ink] as const);
  const look = () => {
    if (!ends) return;
    const [x, y, z] = ends.at;
    useView.getState().look({ target: [x, y + 1, z] });
    if (ends.piece && course.pieces.some(({ id }) => id === ends.piece)) {
      useCourse.getState().choose(new Set([ends.piece]));
    }
  };
  return (
    <Pressable
      onPress={ends ? look : undefined}
      disabled={!ends}
      accessibilityRole={ends ? 'button' : undefined}
      testID="way-said"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        alignSelf: 'flex-start',
        maxWidth: '100%',
        gap: SPACE.xs,
        minHeight: ends ? TARGET : 32,
        paddingHorizontal: SPACE.m,
        borderRadius: RADIUS.m,
        borderWidth: ends ? 2 : 1,
        borderColor: ends ? colours.rust : colours.line,
        backgroundColor: colours.card,
      }}
    >
      <View
        aria-live="polite"
        style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.xs, flexShrink: 1 }}
      >
        <Feather name={icon} size={16} color={tint} />
        <Text as={ends ? 'smallStrong' : 'small'} style={{ flexShrink: 1 }}>
          {wayWords(worst, course)}
        </Text>
      </View>
    </Pressable>
  );
}
