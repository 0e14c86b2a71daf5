import { View } from 'react-native';
import {
  clearSketch,
  closeSketch,
  removeSketchLine,
  setSketchShown,
  sketchLines,
  smoothSketch,
  wayLengthOf,
  type SketchLine,
} from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { Button, Chip, metres, Stepper, Text, OneStop } from '../../parts';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';
import { useLayOf, type SketchMode } from '../open/laying';
import { FitPanel } from './FitPanel';
import { NoteFigures } from './NoteFigures';
import { PictureFigures } from './PictureFigures';
import { PointFigures } from './PointFigures';
import { endSketch, lookForDrawing } from './sketchView';

/** The sketch: a route drawn by hand, its points, notes, a picture under it, and the track that fits it. */
export function SketchPanel() {
  const { course, edit } = useEditing();
  const { sketching, stroke, setSketching, drawStroke } = useLayOf(
    'sketching',
    'stroke',
    'setSketching',
    'drawStroke',
  );
  const sketch = course.sketch;
  const lines = sketchLines(sketch);
  const drawn = lines.filter(({ points }) => points.length > 1);
  const mode = (next: SketchMode) => () => {
    if (next === 'draw') lookForDrawing(drawn.length === 0);
    setSketching(sketching === next ? null : next);
    drawStroke([]);
  };
  return (
    <View style={{ gap: SPACE.m }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' }}>
        <Text as="strong">Sketch</Text>
        {sketching && <Button kind="main" title="Done" onPress={endSketch} testID="sketch-done" />}
      </View>
      <OneStop
        as="tablist"
        name="What a finger does"
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}
      >
        <Chip role="tab" label="Draw" on={sketching === 'draw'} onPress={mode('draw')} />
        <Chip role="tab" label="Points" on={sketching === 'points'} onPress={mode('points')} />
        <Chip role="tab" label="Notes" on={sketching === 'note'} onPress={mode('note')} />
        <Chip role="tab" label="Picture" on={sketching === 'picture'} onPress={mode('picture')} />
        {sketch?.picture && (
          <Chip role="tab" label="Scale" on={sketching === 'scale'} onPress={mode('scale')} />
        )}
      </OneStop>
      <Text as="small" tint="slate">
        {hint(sketching, stroke.length, drawn, !!sketch?.picture)}
      </Text>
      {(sketching === 'draw' || sketching === 'points') && drawn.length > 0 && (
        <Text as="small" testID="sketch-length">
          {drawnWords(drawn)}
        </Text>
      )}
      {sketching === 'points' && <PointFigures />}
      {sketching === 'note' && <NoteFigures />}
      {(sketching === 'picture' || sketching === 'scale') && <PictureFigures />}
      {drawn.length > 0 && (sketching === 'draw' || sketching === 'points') && <LineButtons />}
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
      {drawn.length > 0 && <FitPanel />}
    </View>
  );
}

/** What is done to all that is drawn, and to the branch that is touched. */
function LineButtons() {
  const { course, edit } = useEditing();
  const { sketching, sketchPoint, chooseSketchPoint } = useLayOf(
    'sketching',
    'sketchPoint',
    'chooseSketchPoint',
  );
  const closed = course.sketch?.closed;
  const branch = sketching === 'points' && sketchPoint && sketchPoint.line > 0;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
      <Button title="Smooth" onPress={() => edit(smoothSketch)} />
      <Button
        title={closed ? 'Open it' : 'Close it'}
        onPress={() => edit((before) => closeSketch(before, !closed))}
      />
      {branch && (
        <Button
          title="Take the branch away"
          onPress={() => {
            edit((before) => removeSketchLine(before, sketchPoint.line));
            chooseSketchPoint(null);
          }}
        />
      )}
      <Button
        title="Clear"
        onPress={() => {
          edit(clearSketch);
          endSketch();
        }}
      />
    </View>
  );
}

function hint(
  sketching: SketchMode | null,
  touched: number,
  drawn: readonly SketchLine[],
  picture: boolean,
): string {
  switch (sketching) {
    case 'draw':
      return 'Draw the route over the course with one finger. From its end it goes on; from its middle it branches.';
    case 'points':
      return 'Drag a point of the route; tap one to raise it or take it away.';
    case 'note':
      return 'Tap where a note belongs; tap or drag one that is there.';
    case 'picture':
      return picture
        ? 'One finger moves the picture, two fingers turn and size it.'
        : 'A drawing or a photograph to build over.';
    case 'scale':
      return `Touch two places of the picture that are a known way apart: ${Math.min(2, touched)} of 2.`;
    case null:
      return drawn.length > 0
        ? drawnWords(drawn)
        : 'Draw the route first, roughly; the pieces can follow it.';
  }
}

function drawnWords([route, ...branches]: readonly SketchLine[]): string {
  const round = route.closed ? ', a round' : '';
  const forks =
    branches.length === 0
      ? ''
      : `, ${branches.length} ${branches.length === 1 ? 'branch' : 'branches'}`;
  return `${metres(wayLengthOf(route.points as Vec3[], route.closed))} drawn${round}${forks}.`;
}
