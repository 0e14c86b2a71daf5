import { useMemo, useRef } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Circle, Path, Polygon } from 'react-native-svg';
import { unionBounds } from '@/core/geometry';
import { familyOf, pieceBounds, planOutlines, TONES } from '@/core/pieces';
import { Card, Text } from '../../parts';
import { useView } from '../../scene';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { SPACE, useColours } from '../../theme';

const SIDE = 176;
/** Pieces beyond which only every other outline is worth drawing at this size. */
const MANY = 600;

/** A small plan of the whole course: where one looks, and a touch to look elsewhere. */
export function PlanMap() {
  const colours = useColours();
  const { pieces } = useDebouncedCourse();
  const target = useView((s) => s.target);
  const yaw = useView((s) => s.yaw);
  const host = useRef<View>(null);
  const plan = useMemo(() => {
    if (pieces.length === 0) return null;
    const { low, high } = unionBounds(pieces.map(pieceBounds));
    const span = Math.max(high[0] - low[0], high[2] - low[2], 8) * 1.08;
    const scale = SIDE / span;
    const [cx, cz] = [(low[0] + high[0]) / 2, (low[2] + high[2]) / 2];
    const x = (v: number) => (v - cx) * scale + SIDE / 2;
    const z = (v: number) => (v - cz) * scale + SIDE / 2;
    const shapes = pieces
      .filter((_, i) => pieces.length < MANY || i % 2 === 0)
      .flatMap((piece) => {
        const { group, material } = familyOf(piece.family);
        const fill =
          group === 'hazards'
            ? colours.rust
            : group === 'movers'
              ? colours.tide
              : group === 'marks'
                ? colours.heather
                : TONES[(piece.look?.material ?? material) as keyof typeof TONES]?.side;
        return planOutlines(piece)
          .slice(0, 6)
          .map((outline) => ({
            points: outline.map(([px, pz]) => `${x(px).toFixed(1)},${z(pz).toFixed(1)}`).join(' '),
            fill: fill ?? colours.slate,
          }));
      });
    return { x, z, scale, cx, cz, shapes };
  }, [pieces, colours]);
  if (!plan) return null;
  const go = (px: number, py: number) =>
    useView.getState().look({
      target: [
        (px - SIDE / 2) / plan.scale + plan.cx,
        target[1],
        (py - SIDE / 2) / plan.scale + plan.cz,
      ],
    });
  const [tx, tz] = [plan.x(target[0]), plan.z(target[2])];
  const a = (yaw * Math.PI) / 180;
  const [sx, sz] = [Math.sin(a), -Math.cos(a)];
  return (
    <Card style={{ padding: SPACE.xs }}>
      <Pressable
        ref={host}
        accessibilityRole="button"
        accessibilityLabel="Plan of the course: touch to go there"
        testID="plan-map"
        onPress={(event) => {
          const { pageX, pageY } = event.nativeEvent;
          const frame = (host.current as unknown as HTMLElement).getBoundingClientRect();
          go(pageX - frame.left - window.scrollX, pageY - frame.top - window.scrollY);
        }}
      >
        <Svg width={SIDE} height={SIDE}>
          {plan.shapes.map(({ points, fill }, i) => (
            <Polygon key={i} points={points} fill={fill} />
          ))}
          <Path
            d={`M${tx},${tz}L${tx + (sx - sz * 0.6) * 22},${tz + (sz + sx * 0.6) * 22}L${tx + (sx + sz * 0.6) * 22},${tz + (sz - sx * 0.6) * 22}Z`}
            fill={colours.moss}
            opacity={0.3}
          />
          <Circle cx={tx} cy={tz} r={5} fill={colours.moss} stroke={colours.card} strokeWidth={2} />
        </Svg>
      </Pressable>
      <Text as="small" tint="slate" centred>
        Touch to go there
      </Text>
    </Card>
  );
}
