import { useState } from 'react';
import { View } from 'react-native';
import { movePicture, setPictureShown, setSketchPicture, roundToStored } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import type { Sketch } from '@/core/course';
import { Button, NumberField, Stepper, showToast, useFileChoice } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';
import { planeNow } from '../tools/landing';
import { useLay, useLayOf } from '../open/laying';
import { applyScale } from '../tools/sketch';
import { readPicture } from './readPicture';

/** Metres a picture is wide when it is laid down. */
const FIRST_WIDTH = 40;

/** Lays a picture under the sketch, in the middle of the view. */
async function layPicture(file: File): Promise<void> {
  try {
    const { data, aspect } = await readPicture(file);
    const { target } = useView.getState();
    const { depth, level } = useLay.getState();
    const upright = planeNow().axis === 'z';
    const at: [number, number, number] = upright
      ? [target[0], target[1], depth - 6]
      : [target[0], level, target[2]];
    const picture = { data, at, width: FIRST_WIDTH, aspect, ...(upright ? { upright } : {}) };
    useCourse.getState().edit((before) => setSketchPicture(before, picture));
  } catch (problem) {
    showToast((problem as Error).message);
  }
}

/** The picture under the sketch: taken from a file, sized, turned, faded, taken away. */
export function PictureFigures() {
  const { course, edit } = useEditing();
  const { sketching, stroke } = useLayOf('sketching', 'stroke');
  const file = useFileChoice({
    accept: 'image/png,image/jpeg',
    testID: 'picture-file',
    onFile: (chosen) => void layPicture(chosen),
  });
  const picture = course.sketch?.picture;
  return (
    <View style={{ gap: SPACE.s }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' }}>
        <Button
          title={picture ? 'Another picture' : 'Choose a picture'}
          icon="image"
          onPress={file.choose}
        />
        {picture && (
          <Button
            title="No picture"
            onPress={() => edit((before) => setSketchPicture(before, null))}
          />
        )}
      </View>
      {picture && <Laid picture={picture} />}
      {sketching === 'scale' && stroke.length >= 2 && <Scale />}
      {file.input}
    </View>
  );
}

/** How the picture lies. */
function Laid({ picture }: { picture: NonNullable<Sketch['picture']> }) {
  const { edit } = useEditing();
  const { width, turn = 0 } = picture;
  const move = (change: { factor: number; turn: number }) =>
    edit(
      (now) => movePicture(now, { about: picture.at as Vec3, by: [0, 0, 0], ...change }),
      'picture',
    );
  return (
    <View>
      <NumberField
        label="Width"
        unit="m"
        step={1}
        value={roundToStored(width)}
        testID="picture-width"
        onChange={(next) => move({ factor: next / width, turn: 0 })}
      />
      {!picture.upright && (
        <NumberField
          label="Turned"
          unit="°"
          step={1}
          value={turn}
          onChange={(next) => move({ factor: 1, turn: next - turn })}
        />
      )}
      <Stepper
        label="Picture shown"
        value={Math.round((picture.shown ?? 0.6) * 100)}
        unit="%"
        step={20}
        min={0}
        max={100}
        onChange={(value) =>
          edit((before) => setPictureShown(before, value / 100), 'picture shown')
        }
      />
    </View>
  );
}

/** How far apart the two touched places are known to be. */
function Scale() {
  const [length, setLength] = useState(10);
  return (
    <View>
      <NumberField
        label="They are apart"
        unit="m"
        step={1}
        value={length}
        onChange={setLength}
        testID="scale-length"
      />
      <Button
        kind="main"
        title="Set the scale"
        onPress={() => {
          try {
            applyScale(length);
          } catch (problem) {
            showToast((problem as Error).message);
          }
        }}
      />
    </View>
  );
}
