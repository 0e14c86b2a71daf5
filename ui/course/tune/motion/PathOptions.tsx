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
import { legTimes, USUAL_SPEED } from '@/core/motion';
import { Button, Chip, Choices, NumberField, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { Flow } from '../figures/Section';
import { Triple } from '../figures/Triple';
import { useTuneOf } from '../tuneStore';

/** How far from the last a point is put that is added without touching the scene, m. */
const STEP = 2;

/** A drawn path: its points on the scene, its pace, and what follows its end. */
export function PathOptions({
  piece,
  motion,
  index,
}: {
  piece: Piece;
  motion: PathMotion;
  index: number;
}) {
  const { choice, edit } = useEditing();
  const { drawingPath, pathPoint, set } = useTuneOf('drawingPath', 'pathPoint', 'set');
  const change = (to: Partial<Record<keyof PathMotion, unknown>>, merge?: string) =>
    edit((now) => changeMotion(now, choice, index, to), merge);
  const waits = (at: number, wait: number) => {
    const next = Array.from({ length: motion.points.length + 1 }, (_, i) => motion.waits?.[i] ?? 0);
    next[at] = wait;
    return next.some((v) => v > 0) ? next : undefined;
  };
  const point = pathPoint ?? 0;
  const places = pathPlaces(piece);
  const times = legTimes(motion);
  // The leg that leads to the point in hand; of a round path the last leads back to the first.
  const leg = point > 0 ? point - 1 : motion.after === 'round' ? times.length - 1 : 0;
  const corners = motion.corners ?? [];
  const corner = (on: boolean) => {
    const next = on
      ? [...corners, point].sort((a, b) => a - b)
      : corners.filter((c) => c !== point);
    change({ corners: next.length > 0 ? next : undefined });
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Text tint="slate">
        {drawingPath
          ? 'Touch the scene to add points, a small ring to put one in between. Drag a point to move it, its arrows to lift it.'
          : `${motion.points.length + 1} points. It starts where the piece stands.`}
      </Text>
      <Flow>
        <Button
          title={drawingPath ? 'Path is drawn' : 'Draw on the scene'}
          icon="edit-3"
          kind={drawingPath ? 'main' : 'plain'}
          testID="draw-path"
          onPress={() => set({ drawingPath: !drawingPath, pathPoint: null })}
        />
        <Button
          title="One more point"
          icon="plus"
          testID="path-more"
          onPress={() => {
            const [x, y, z] = places[places.length - 1];
            edit((now) => addPathPoint(now, piece.id, [x + STEP, y, z]));
            set({ pathPoint: places.length });
          }}
        />
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
      {places[point] && point > 0 && (
        <Triple
          label={`Point ${point + 1}`}
          unit="m"
          value={places[point].map(roundToStored)}
          onChange={(to) => edit((now) => movePathPoint(now, piece.id, point, to), 'path point')}
        />
      )}
      <Choices
        label="At its end"
        value={motion.after ?? 'back'}
        options={[
          { value: 'back', label: 'Back again' },
          { value: 'round', label: 'Round and on' },
          { value: 'once', label: 'Stays there' },
        ]}
        onChange={(after) => change({ after: after === 'back' ? undefined : after })}
      />
      <View>
        <NumberField
          label="Speed"
          unit="m/s"
          step={0.25}
          value={motion.speed ?? USUAL_SPEED}
          testID="path-speed"
          onChange={(speed) => change({ speed, times: undefined }, 'path speed')}
        />
        <NumberField
          label={`Takes to point ${point > 0 || motion.after === 'round' ? point + 1 : 2}`}
          unit="s"
          step={0.25}
          value={Math.round(times[leg] * 1000) / 1000}
          testID="path-time"
          onChange={(time) =>
            change({ times: times.map((v, i) => (i === leg ? time : v)) }, `path time ${leg}`)
          }
        />
        <NumberField
          label={`Waits at point ${point + 1}`}
          unit="s"
          step={0.25}
          value={motion.waits?.[point] ?? 0}
          onChange={(wait) => change({ waits: waits(point, wait) }, `path wait ${point}`)}
        />
        <NumberField
          label="Starts at part"
          unit=""
          step={0.05}
          value={motion.phase ?? 0}
          onChange={(phase) => change({ phase: phase === 0 ? undefined : phase }, 'path phase')}
        />
      </View>
      <Flow>
        <Chip
          role="checkbox"
          label="Smooth"
          on={motion.smooth === true}
          onPress={() => change({ smooth: motion.smooth ? undefined : true })}
        />
        {motion.smooth && (
          <Chip
            role="checkbox"
            label={`Corner at point ${point + 1}`}
            on={corners.includes(point)}
            onPress={() => corner(!corners.includes(point))}
          />
        )}
        <Chip
          role="checkbox"
          label="Slows at each point"
          on={motion.ease === 'smooth'}
          onPress={() => change({ ease: motion.ease === 'smooth' ? undefined : 'smooth' })}
        />
      </Flow>
    </View>
  );
}
