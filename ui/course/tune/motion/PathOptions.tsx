import { View } from 'react-native';
import {
  addPathPoint,
  changeMotion,
  movePathPoint,
  pathPlaces,
  removePathPoint,
  roundToStored,
} from '@/core/edit';
import type { PathMotion, Piece } from '@/core/course';
import { Button, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { Flow } from '../../parts/Section';
import { Triple } from '../figures/Triple';
import { useTuneOf } from '../../open/tuneStore';
import { PathPace, type ChangePath } from './PathPace';

/** How far from the last a point is put that is added without touching the scene, m. */
const STEP = 2;

interface PathProps {
  readonly piece: Piece;
  readonly motion: PathMotion;
  /** Which of the piece's motions it is. */
  readonly index: number;
}

/** A drawn path: its points on the scene, its pace, and what follows its end. */
export function PathOptions({ piece, motion, index }: PathProps) {
  const { choice, edit } = useEditing();
  const { drawingPath, pathPoint } = useTuneOf('drawingPath', 'pathPoint');
  const change: ChangePath = (to, merge) =>
    edit((now) => changeMotion(now, choice, index, to), merge);
  const point = pathPoint ?? 0;
  const place = pathPlaces(piece)[point];
  return (
    <View style={{ gap: SPACE.s }}>
      <Text tint="slate">
        {drawingPath
          ? 'Touch the scene to add points, a small ring to put one in between. Drag a point to move it, its arrows to lift it.'
          : `${motion.points.length + 1} points. It starts where the piece stands.`}
      </Text>
      <PointButtons piece={piece} />
      {place && point > 0 && (
        <Triple
          label={`Point ${point + 1}`}
          unit="m"
          value={place.map(roundToStored)}
          onChange={(to) => edit((now) => movePathPoint(now, piece.id, point, to), 'path point')}
        />
      )}
      <PathPace motion={motion} point={point} change={change} />
    </View>
  );
}

/** Points are drawn over the scene, added and taken away. */
function PointButtons({ piece }: { piece: Piece }) {
  const { edit } = useEditing();
  const { drawingPath, pathPoint, set } = useTuneOf('drawingPath', 'pathPoint', 'set');
  const addOne = () => {
    const places = pathPlaces(piece);
    const [x, y, z] = places[places.length - 1];
    edit((now) => addPathPoint(now, piece.id, [x + STEP, y, z]));
    set({ pathPoint: places.length });
  };
  return (
    <Flow>
      <Button
        title={drawingPath ? 'Path is drawn' : 'Draw on the scene'}
        icon="edit-3"
        kind={drawingPath ? 'main' : 'plain'}
        testID="draw-path"
        onPress={() => set({ drawingPath: !drawingPath, pathPoint: null })}
      />
      <Button title="One more point" icon="plus" testID="path-more" onPress={addOne} />
      {pathPoint !== null && pathPoint > 0 && (
        <Button
          title={`Take point ${pathPoint + 1} away`}
          icon="trash-2"
          onPress={() => {
            edit((now) => removePathPoint(now, piece.id, pathPoint));
            set({ pathPoint: null });
          }}
        />
      )}
    </Flow>
  );
}
