import { View } from 'react-native';
import { setRule } from '@/core/edit';
import type { PictureCamera } from '@/core/course';
import { USUAL_FIELD } from '@/core/formats';
import type { Vec3 } from '@/core/geometry';
import { eyePlace } from '@/core/sight';
import { Button, NumberField, Text } from '../../parts';
import { lookFrom, useView } from '../../scene';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';

const tenths = (p: Vec3): [number, number, number] =>
  p.map((v) => Math.round(v * 10) / 10) as [number, number, number];

/** From where the picture is taken that stands for the course wherever it is listed or shared. */
export function PictureOptions() {
  const { course, edit } = useEditing();
  const { picture } = course;
  const set = (next: PictureCamera | undefined, merge?: string) =>
    edit((now) => setRule(now, 'picture', next), merge);
  const take = () => {
    const view = useView.getState();
    set({ ...picture, at: tenths(eyePlace(view)), look: tenths(view.target) });
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="small" tint="slate">
        {picture
          ? 'Taken from a place of yours. It changes with the course.'
          : 'Taken as usual. Turn the view to what players should see first and take it from there.'}
      </Text>
      {picture && (
        <NumberField
          label="Field of view"
          unit="°"
          step={2}
          value={picture.field ?? USUAL_FIELD}
          testID="picture-field"
          onChange={(field) => set({ ...picture, field }, 'picture field')}
        />
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Button
          title="Take it from here"
          icon="camera"
          testID="take-picture"
          onPress={take}
          style={{ flexGrow: 1 }}
        />
        {picture && (
          <>
            <Button
              title="Look from there"
              icon="eye"
              onPress={() =>
                useView.getState().look(lookFrom(picture.at as Vec3, picture.look as Vec3))
              }
              style={{ flexGrow: 1 }}
            />
            <Button
              title="As usual"
              icon="rotate-ccw"
              onPress={() => set(undefined)}
              style={{ flexGrow: 1 }}
            />
          </>
        )}
      </View>
    </View>
  );
}
