import { View } from 'react-native';
import { alignPieces, spreadPieces, type Alignment, type Axis } from '@/core/edit';
import { Button, Sheet, Text } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { SPACE } from '../../../theme';
import { Flow } from '../../parts/Section';

const AXES: readonly { readonly axis: Axis; readonly label: string; readonly sides: Sides }[] = [
  { axis: 0, label: 'Along x', sides: { low: 'Left', middle: 'Middle', high: 'Right' } },
  { axis: 1, label: 'Upwards', sides: { low: 'Foot', middle: 'Middle', high: 'Top' } },
  { axis: 2, label: 'Along z', sides: { low: 'Far', middle: 'Middle', high: 'Near' } },
];
type Sides = Readonly<Record<Alignment, string>>;

/** Lines the chosen pieces up by a side or their middles, or spreads them evenly. */
export function AlignSheet({ onClose }: { onClose: () => void }) {
  const { choice, edit } = useCourse.getState();
  return (
    <Sheet title="Line up and spread" open onClose={onClose}>
      {AXES.map(({ axis, label, sides }) => (
        <View key={axis} style={{ gap: SPACE.xs }}>
          <Text as="smallStrong">{label}</Text>
          <Flow>
            {(['low', 'middle', 'high'] as const).map((by) => (
              <Button
                key={by}
                title={sides[by]}
                label={`${label}: ${sides[by]}`}
                onPress={() => edit((now) => alignPieces(now, choice, axis, by))}
              />
            ))}
            <Button
              title="Spread evenly"
              label={`${label}: Spread evenly`}
              disabled={choice.size < 3}
              onPress={() => edit((now) => spreadPieces(now, choice, axis))}
            />
          </Flow>
        </View>
      ))}
    </Sheet>
  );
}
