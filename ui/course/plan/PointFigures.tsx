import { View } from 'react-native';
import {
  addSketchPoint,
  moveSketchPoint,
  placeOfPoint,
  removeSketchPoint,
  sketchLines,
} from '@/core/edit';
import { mapVec3, type Vec3 } from '@/core/geometry';
import { Button, NumberField } from '../../parts';
import { useView } from '../../scene';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';
import { useLayOf } from '../open/laying';

/** How far from the last a point is put that is added without touching the scene, m. */
const STEP = 5;

/** Where the touched point of the sketch is, taking it away, and drawing on by another. */
export function PointFigures() {
  const { course, edit } = useEditing();
  const { sketchPoint: point, chooseSketchPoint } = useLayOf('sketchPoint', 'chooseSketchPoint');
  const place = point && placeOfPoint(course.sketch, point);
  const line = point?.line ?? 0;
  const drawn = sketchLines(course.sketch)[line]?.points ?? [];
  const addPoint = () => {
    const last = drawn[drawn.length - 1] as Vec3 | undefined;
    const { target } = useView.getState();
    const to: Vec3 = last ? [last[0] + STEP, last[1], last[2]] : [target[0], 0, target[2]];
    edit((before) => addSketchPoint(before, line, to));
    chooseSketchPoint({ line, index: drawn.length });
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Button title="One more point" icon="plus" onPress={addPoint} testID="sketch-more" />
        {place && (
          <Button
            title="Take away"
            icon="trash-2"
            onPress={() => {
              edit((before) => removeSketchPoint(before, point));
              chooseSketchPoint(null);
            }}
          />
        )}
      </View>
      {place &&
        (['x', 'y', 'z'] as const).map((axis, i) => (
          <NumberField
            key={axis}
            label={axis === 'y' ? 'Height' : `Point ${axis}`}
            unit="m"
            step={0.5}
            value={place[i]}
            onChange={(value) =>
              edit(
                (before) =>
                  moveSketchPoint(
                    before,
                    point,
                    mapVec3((k) => (k === i ? value : place[k])),
                  ),
                'sketch point',
              )
            }
          />
        ))}
    </View>
  );
}
