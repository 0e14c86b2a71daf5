import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import { effectMisfit, shiftPhase } from '@/core/edit';
import type { Piece } from '@/core/course';
import { travelOf, type Travel } from '@/core/run';
import { Button, Chip, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE, TARGET, useColours } from '../../../theme';
import { Flow } from '../../parts/Section';
import { useTune, useTuneOf } from '../../open/tuneStore';
import { pieceName } from '../../open/pieceWords';
import { usePhaseDrag } from './usePhaseDrag';

const WIDTH = 300;
const HEIGHT = 44;

/** The phases of chosen movers one above the other, on one clock; each is dragged to be earlier or later. */
export function PhaseRows({ piece }: { piece: Piece }) {
  const { course, choice, edit } = useEditing();
  const { beside, set } = useTuneOf('beside', 'set');
  const { pieces, tempo } = course;
  const rows = useMemo(
    () =>
      pieces
        .filter(({ id }) => id === piece.id || choice.has(id) || beside.includes(id))
        .sort((a, b) => Number(b.id === piece.id) - Number(a.id === piece.id))
        .flatMap((one) => {
          const travel = travelOf({ ...course, pieces, tempo }, one);
          return travel ? [{ piece: one, travel }] : [];
        }),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [pieces, tempo, piece.id, choice, beside],
  );
  const seconds = Math.max(0.1, ...rows.map(({ travel }) => travel.period));
  const pick = () =>
    set({
      picking: {
        words: 'Touch the mover to lay beside it',
        misfit: (now, one) => effectMisfit(now, 'start', one),
        take: (id) => set({ beside: [...beside.filter((one) => one !== id), id] }),
      },
    });
  return (
    <View style={{ gap: SPACE.s }}>
      {rows.length > 1 &&
        rows.map((row) => (
          <PhaseRow
            key={row.piece.id}
            piece={row.piece}
            travel={row.travel}
            seconds={seconds}
            onShift={(by) =>
              edit((now) => shiftPhase(now, row.piece.id, by), `phase ${row.piece.id}`)
            }
          />
        ))}
      {rows.length > 1 && (
        <Text as="small" tint="slate">
          {`How far each has gone, over ${seconds.toFixed(1)} s. Drag a row, or use the arrow keys on it, to have it earlier or later.`}
        </Text>
      )}
      <Flow>
        <Button
          title="Lay a mover beside it"
          icon="align-left"
          onPress={pick}
          testID="phase-beside"
        />
        {beside.length > 0 && (
          <Chip role="tab" label="By itself" on={false} onPress={() => set({ beside: [] })} />
        )}
      </Flow>
    </View>
  );
}

interface PhaseRowProps {
  readonly piece: Piece;
  readonly travel: Travel;
  /** What the whole row covers, s. */
  readonly seconds: number;
  /** Has it be so many seconds earlier. */
  readonly onShift: (seconds: number) => void;
}

/** A mover's way over time, as a curve that is dragged along. */
function PhaseRow({ piece, travel, seconds, onShift }: PhaseRowProps) {
  const colours = useColours();
  const at = useTune((s) => s.at);
  const drag = usePhaseDrag(seconds, onShift);
  const far = Math.max(0.01, ...travel.ways);
  const { length } = travel.ways;
  const points = Math.ceil((seconds / travel.period) * length);
  const curve = Array.from({ length: points + 1 }, (_, i) => {
    const x = ((i * travel.period) / length / seconds) * WIDTH;
    const y = HEIGHT - 6 - (travel.ways[i % length] / far) * (HEIGHT - 12);
    return `${x.toFixed(1)},${y.toFixed(1)}`;
  });
  const now = ((at % seconds) / seconds) * WIDTH;
  return (
    <View
      {...drag}
      testID={`phase-${piece.id}`}
      accessibilityLabel={`Phase of ${pieceName(piece)}`}
      style={{
        minHeight: TARGET + 14,
        borderRadius: 8,
        borderWidth: 1,
        borderColor: colours.line,
        paddingTop: 2,
        overflow: 'hidden',
      }}
    >
      <Text as="small" style={{ paddingHorizontal: SPACE.s }}>
        {pieceName(piece)}
      </Text>
      <Svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        pointerEvents="none"
      >
        <Path
          d={`M0,${HEIGHT}L${curve.join('L')}L${WIDTH},${HEIGHT}Z`}
          fill={colours.tide}
          fillOpacity={0.15}
        />
        <Path d={`M${curve.join('L')}`} stroke={colours.tide} strokeWidth={2} fill="none" />
        <Line x1={now} x2={now} y1={0} y2={HEIGHT} stroke={colours.moss} strokeWidth={2} />
      </Svg>
    </View>
  );
}
