import { View } from 'react-native';
import { placeOfPoint, raiseSketchPoint, removeSketchPoint } from '@/core/assemble';
import { Button, Stepper } from '../../parts';
import { useEditing } from '../../state/shown';
import { SPACE } from '../../theme';
import { useLayOf } from '../layStore';

/** How high the touched point of the sketch is, and taking it away. */
export function PointFigures() {
  const { course, edit } = useEditing();
  const { sketchPoint: point, set } = useLayOf('sketchPoint', 'set');
  const place = point && placeOfPoint(course.sketch, point);
  if (!place) return null;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' }}>
      <Stepper
        label="Height"
        value={Math.round(place[1] * 100) / 100}
        unit="m"
        step={0.5}
        min={-50}
        max={200}
        onChange={(value) =>
          edit((before) => raiseSketchPoint(before, point, value - place[1]), 'sketch height')
        }
      />
      <Button
        title="Take away"
        onPress={() => {
          edit((before) => removeSketchPoint(before, point));
          set({ sketchPoint: null });
        }}
      />
    </View>
  );
}
