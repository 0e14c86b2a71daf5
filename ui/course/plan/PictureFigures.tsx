import { useRef, useState } from 'react';
import { View } from 'react-native';
import { movePicture, setPictureShown, setSketchPicture, roundToStored } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { Button, NumberField, Stepper, showToast } from '../../parts';
import { useView } from '../../scene';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';
import { planeNow } from '../lay/landing';
import { useLay, useLayOf } from '../lay/layStore';
import { applyScale } from '../lay/tools/sketch';
import { readPicture } from './readPicture';

/** Metres a picture is wide when it is laid down. */
const FIRST_WIDTH = 40;

/** The picture under the sketch: taken from a file, sized, turned, faded, taken away. */
export function PictureFigures() {
  const { course, edit } = useEditing();
  const { sketching, stroke } = useLayOf('sketching', 'stroke');
  const [length, setLength] = useState(10);
  const files = useRef<HTMLInputElement>(null);
  const picture = course.sketch?.picture;
  const take = async (file: File) => {
    try {
      const { data, aspect } = await readPicture(file);
      const { target } = useView.getState();
      const upright = planeNow().axis === 'z';
      const at: [number, number, number] = upright
        ? [target[0], target[1], useLay.getState().depth - 6]
        : [target[0], useLay.getState().level, target[2]];
      edit((before) =>
        setSketchPicture(before, {
          data,
          at,
          width: FIRST_WIDTH,
          aspect,
          ...(upright ? { upright } : {}),
        }),
      );
    } catch (problem) {
      showToast((problem as Error).message);
    }
  };
  const still = { about: (picture?.at ?? [0, 0, 0]) as Vec3, by: [0, 0, 0] as Vec3 };
  return (
    <View style={{ gap: SPACE.s }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' }}>
        <Button
          title={picture ? 'Another picture' : 'Choose a picture'}
          icon="image"
          onPress={() => files.current?.click()}
        />
        {picture && (
          <Button
            title="No picture"
            onPress={() => edit((before) => setSketchPicture(before, null))}
          />
        )}
      </View>
      {picture && (
        <View>
          <NumberField
            label="Width"
            unit="m"
            step={1}
            value={roundToStored(picture.width)}
            testID="picture-width"
            onChange={(width) =>
              edit(
                (now) => movePicture(now, { ...still, factor: width / picture.width, turn: 0 }),
                'picture',
              )
            }
          />
          {!picture.upright && (
            <NumberField
              label="Turned"
              unit="°"
              step={1}
              value={picture.turn ?? 0}
              onChange={(turn) =>
                edit(
                  (now) =>
                    movePicture(now, { ...still, factor: 1, turn: turn - (picture.turn ?? 0) }),
                  'picture',
                )
              }
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
      )}
      {sketching === 'scale' && stroke.length >= 2 && (
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
      )}
      <input
        ref={files}
        type="file"
        accept="image/png,image/jpeg"
        data-testid="picture-file"
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
    </View>
  );
}
