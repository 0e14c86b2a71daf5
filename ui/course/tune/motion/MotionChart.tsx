import { useMemo } from 'react';
import Svg, { Line, Path } from 'react-native-svg';
import { line } from 'd3-shape';
import { scaleLinear } from 'd3-scale';
import type { Piece } from '@/core/course';
import { inTempo, isDriven, motionChart, placeMotion, parseMotion } from '@/core/motion';
import type { Vec3 } from '@/core/geometry';
import { pieceBounds, turnOf, worldMotion } from '@/core/pieces';
import { Chip, Text } from '../../../parts';
import { usePanelSnapshot } from '../../../state/panelSnapshot';
import { useColours } from '../../../theme';
import { PhaseRows } from './PhaseRows';
import { Flow, Section } from '../../parts/Section';
import { useTune } from '../../open/tuneStore';

/** The corners of a box. */
const boxCorners = ({ low, high }: ReturnType<typeof pieceBounds>): Vec3[] =>
  Array.from({ length: 8 }, (_, k) => [
    k & 1 ? high[0] : low[0],
    k & 2 ? high[1] : low[1],
    k & 4 ? high[2] : low[2],
  ]);

const WIDTH = 300;
const HEIGHT = 96;

/** Height and speed of the chosen mover over its period, with the scrubber's moment; and others' phases. */
export function MotionChart({ piece }: { piece: Piece }) {
  const colours = useColours();
  const { tempo } = usePanelSnapshot((s) => s.course);
  const at = useTune((s) => s.at);
  const onion = useTune((s) => s.onion);
  const chart = useMemo(() => {
    const motions = (piece.motion ?? []).flatMap((told) =>
      isDriven(told)
        ? []
        : [placeMotion(inTempo(parseMotion(told), tempo), turnOf(piece), piece.at)],
    );
    const own = worldMotion(piece);
    if (own) motions.push(inTempo(own, tempo));
    if (motions.length === 0) return null;
    // A part that turns where it stands is told of by the corner that goes fastest.
    const charts = (own ? boxCorners(pieceBounds(piece)) : [piece.at]).map((at) =>
      motionChart(motions, at),
    );
    const fastest = ({ speeds }: (typeof charts)[number]) => Math.max(...speeds);
    return charts.reduce((best, one) => (fastest(one) > fastest(best) ? one : best));
  }, [piece, tempo]);
  if (!chart) return null;
  const { period, heights, speeds } = chart;
  // To the tenth: what is a hair below nothing is nothing.
  const tenth = (v: number) => (Math.round(v * 10) / 10 + 0).toFixed(1);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const fastest = Math.max(...speeds);
  const x = scaleLinear([0, speeds.length], [0, WIDTH]);
  const path = (values: readonly number[], from: number, to: number) =>
    line<number>()
      .x((_, i) => x(i))
      .y(scaleLinear([from, Math.max(to, from + 0.01)], [HEIGHT - 6, 6]))([...values]) ?? '';
  const now = ((at % period) / period) * WIDTH;
  return (
    <Section title="Over its period">
      <Svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
      >
        <Line
          x1={0}
          x2={WIDTH}
          y1={HEIGHT - 6}
          y2={HEIGHT - 6}
          stroke={colours.line}
          strokeWidth={1}
        />
        <Path d={path(heights, low, high)} stroke={colours.tide} strokeWidth={2.5} fill="none" />
        <Path
          d={path(speeds, 0, fastest)}
          stroke={colours.ink}
          strokeWidth={2}
          strokeDasharray="4 4"
          fill="none"
        />
        <Line x1={now} x2={now} y1={0} y2={HEIGHT} stroke={colours.moss} strokeWidth={2} />
      </Svg>
      <Text as="small" tint="slate">
        {`${period.toFixed(1)} s. Height (solid line): ${tenth(low)} to ${tenth(high)} m. Speed (dashed line): up to ${fastest.toFixed(1)} m/s.`}
      </Text>
      <Flow>
        <Chip
          role="checkbox"
          label="Show all along"
          on={onion}
          onPress={() => useTune.getState().set({ onion: !onion })}
        />
      </Flow>
      <PhaseRows piece={piece} />
    </Section>
  );
}
