import { useRef, useState } from 'react';
import { View } from 'react-native';
import {
  clearSketch,
  closeSketch,
  raiseSketchPoint,
  removeSketchPoint,
  setNote,
  setSketchPicture,
  setSketchShown,
  smoothSketch,
  wayLengthOf,
} from '@/core/assemble';
import type { Vec3 } from '@/core/geometry';
import { Button, Chip, Field, metres, NumberField, Stepper, tell, Words } from '../parts';
import { useView } from '../scene';
import { useEditing } from '../state/shown';
import { SPACE } from '../theme';
import { FitPanel } from './FitPanel';
import { planeNow } from './landing';
import { useLay, useLayOf } from './layStore';
import { readPicture } from './readPicture';
import { applyScale } from './tools/sketchTool';

/** The sketch: a route drawn by hand, its points, notes, a picture under it, and the track that fits it. */
export function SketchPanel() {
  const { course, edit } = useEditing();
  const { sketching, sketchPoint, stroke, set } = useLayOf(
    'sketching',
    'sketchPoint',
    'stroke',
    'set',
  );
  const [length, setLength] = useState(10);
  const files = useRef<HTMLInputElement>(null);
  const sketch = course.sketch;
  const points = sketch?.points ?? [];
  const mode = (next: NonNullable<typeof sketching>) => () => {
    if (next === 'draw' && useView.getState().mode === 'free') useView.getState().setMode('above');
    set({ sketching: sketching === next ? null : next, stroke: [], sketchPoint: null });
  };
  const note =
    sketching === 'note' && sketchPoint !== null ? sketch?.notes?.[sketchPoint] : undefined;
  const take = async (file: File) => {
    try {
      const { data, aspect } = await readPicture(file);
      const { target } = useView.getState();
      const upright = planeNow().axis === 'z';
      const at: [number, number, number] = upright
        ? [target[0], target[1], useLay.getState().depth - 6]
        : [target[0], useLay.getState().level, target[2]];
      edit((before) =>
        setSketchPicture(before, { data, at, width: 40, aspect, ...(upright ? { upright } : {}) }),
      );
    } catch (problem) {
      tell((problem as Error).message);
    }
  };
  return (
    <View style={{ gap: SPACE.m }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' }}>
        <Words as="strong">Sketch</Words>
        {sketching && (
          <Button
            kind="main"
            title="Done"
            onPress={() => set({ sketching: null, stroke: [], sketchPoint: null })}
            testID="sketch-done"
          />
        )}
      </View>
      <View
        accessibilityRole="tablist"
        aria-label="What a finger does"
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}
      >
        <Chip role="tab" label="Draw" on={sketching === 'draw'} onPress={mode('draw')} />
        <Chip role="tab" label="Points" on={sketching === 'points'} onPress={mode('points')} />
        <Chip role="tab" label="Note" on={sketching === 'note'} onPress={mode('note')} />
        {sketch?.picture && (
          <Chip role="tab" label="Scale" on={sketching === 'scale'} onPress={mode('scale')} />
        )}
      </View>
      <Words as="small" tint="slate">
        {sketching === 'draw'
          ? 'Draw the route over the course with one finger. Begin near its end to go on.'
          : sketching === 'points'
            ? 'Drag a point of the route; tap one to raise it or take it away.'
            : sketching === 'note'
              ? 'Tap where the note belongs.'
              : sketching === 'scale'
                ? `Touch two places of the picture that are a known way apart: ${Math.min(2, stroke.length)} of 2.`
                : points.length > 1
                  ? `${metres(wayLengthOf(points as Vec3[], sketch?.closed))} drawn${sketch?.closed ? ', a round' : ''}.`
                  : 'Draw the route first, roughly; the pieces can follow it.'}
      </Words>
      {sketching === 'draw' && points.length > 1 && (
        <Words as="small">
          {metres(wayLengthOf(points as Vec3[], sketch?.closed))} drawn
          {sketch?.closed ? ', a round' : ''}.
        </Words>
      )}
      {sketching === 'points' && sketchPoint !== null && points[sketchPoint] && (
        <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
          <Stepper
            label="Height"
            value={Math.round(points[sketchPoint][1] * 100) / 100}
            unit="m"
            step={0.5}
            min={-50}
            max={200}
            onChange={(value) =>
              edit(
                (before) => raiseSketchPoint(before, sketchPoint, value - points[sketchPoint][1]),
                'sketch height',
              )
            }
          />
          <Button
            title="Take away"
            onPress={() => {
              edit((before) => removeSketchPoint(before, sketchPoint));
              set({ sketchPoint: null });
            }}
          />
        </View>
      )}
      {note && (
        <View>
          <Field
            label="Note"
            value={note.text}
            maxLength={120}
            onChangeText={(text) =>
              edit((before) => setNote(before, sketchPoint!, note.at as Vec3, text), 'note')
            }
            testID="note-text"
          />
          <Button
            title="Delete the note"
            onPress={() => {
              edit((before) => setNote(before, sketchPoint!, note.at as Vec3, null));
              set({ sketchPoint: null });
            }}
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
                tell((problem as Error).message);
              }
            }}
          />
        </View>
      )}
      {points.length > 2 && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
          <Button title="Smooth" onPress={() => edit(smoothSketch)} />
          <Button
            title={sketch?.closed ? 'Open it' : 'Close it'}
            onPress={() => edit((before) => closeSketch(before, !sketch?.closed))}
          />
          <Button
            title="Clear"
            onPress={() => {
              edit(clearSketch);
              set({ sketching: null });
            }}
          />
        </View>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' }}>
        <Button
          title={sketch?.picture ? 'Another picture' : 'Picture under it'}
          icon="image"
          onPress={() => files.current?.click()}
        />
        {sketch?.picture && (
          <Button
            title="No picture"
            onPress={() => edit((before) => setSketchPicture(before, null))}
          />
        )}
        {sketch && (
          <Stepper
            label="Shown while laying"
            value={Math.round((sketch.shown ?? 0.6) * 100)}
            unit="%"
            step={20}
            min={0}
            max={100}
            onChange={(value) =>
              edit((before) => setSketchShown(before, value / 100), 'sketch shown')
            }
          />
        )}
      </View>
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
      {points.length > 1 && <FitPanel />}
    </View>
  );
}
