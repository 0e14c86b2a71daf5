import { Circle, G, Path, Rect } from 'react-native-svg';
import { postsOf } from '@/core/edit';
import { useCourse } from '../../../state/courseStore';
import { useLay, useLayOf } from '../../open/laying';
import { chosenPlatform, rimPointsOf } from '../../tools/outlineTool';
import { chosenWall } from '../../tools/wallTool';
import { INK, MOSS, RUST, PAPER, Label, path, type See } from './marks';

/** Lines, corners and areas that tools are drawing, and what they say of them. */
export function Drawn({ see }: { see: See }) {
  const { lasso, tool, sketching, strewing } = useLayOf('lasso', 'tool', 'sketching', 'strewing');
  const sweeping = tool === 'scatter' && strewing !== 'area' && !sketching;
  return (
    <>
      {lasso.length > 1 && (
        <Path
          d={path(lasso, true)}
          fill={MOSS}
          fillOpacity={0.12}
          stroke={MOSS}
          strokeWidth={2}
          strokeDasharray="6 5"
        />
      )}
      {sweeping ? <Sweep see={see} /> : <Stroke see={see} />}
      {tool === 'outline' && <Corners see={see} />}
      {tool === 'wall' && <Posts see={see} />}
      <Cornering see={see} />
      <FaultMark see={see} />
      <Measure see={see} />
    </>
  );
}

/** What scenery is strewn along, or taken away along, as wide as it reaches. */
function Sweep({ see }: { see: See }) {
  const { stroke, brush, strewing } = useLayOf('stroke', 'brush', 'strewing');
  if (stroke.length < 2) return null;
  return (
    <Path
      d={path(stroke.map(see))}
      stroke={strewing === 'erase' ? RUST : MOSS}
      strokeWidth={Math.max(12, brush * 16)}
      strokeOpacity={0.35}
      strokeLinecap="round"
      strokeLinejoin="round"
      fill="none"
    />
  );
}

/** A line that is drawn, or the rim of an area, with the points that were set. */
function Stroke({ see }: { see: See }) {
  const { stroke, tool, sketching, strewing } = useLayOf('stroke', 'tool', 'sketching', 'strewing');
  const pixels = stroke.map(see);
  const fills = tool === 'fill' || (tool === 'scatter' && strewing === 'area');
  const closed = fills && !sketching;
  return (
    <>
      {stroke.length > 1 && (
        <Path
          d={path(pixels, closed)}
          fill={closed ? MOSS : 'none'}
          fillOpacity={0.15}
          stroke={sketching ? INK : MOSS}
          strokeWidth={3}
          strokeLinejoin="round"
        />
      )}
      {sketching !== 'draw' &&
        !closed &&
        pixels.map(
          (p, i) =>
            p && (
              <Circle
                key={i}
                cx={p[0]}
                cy={p[1]}
                r={i === 0 && tool === 'outline' ? 10 : 7}
                fill={PAPER}
                stroke={MOSS}
                strokeWidth={3}
              />
            ),
        )}
    </>
  );
}

/** Corner onto corner: the one that was touched. */
function Cornering({ see }: { see: See }) {
  const cornering = useLay((s) => s.cornering);
  const own = cornering?.own && see(cornering.own);
  return own && <Circle cx={own[0]} cy={own[1]} r={9} fill={PAPER} stroke={MOSS} strokeWidth={4} />;
}

/** Where something cannot be drawn, and why. */
function FaultMark({ see }: { see: See }) {
  const fault = useLay((s) => s.fault);
  const at = fault && see(fault.at);
  if (!at) return null;
  const [x, y] = at;
  return (
    <G>
      <Path
        d={`M${x - 9},${y - 9}L${x + 9},${y + 9}M${x + 9},${y - 9}L${x - 9},${y + 9}`}
        stroke={RUST}
        strokeWidth={4}
      />
      <Label at={[x, y - 28]} words={fault.words} tint={RUST} />
    </G>
  );
}

/** What is said where something is dragged to. */
function Measure({ see }: { see: See }) {
  const measure = useLay((s) => s.measure);
  const at = measure && see(measure.at);
  return at && <Label at={[at[0], at[1] - 44]} words={measure.words} />;
}

/** The points of the chosen outline, where the course has them. */
function Corners({ see }: { see: See }) {
  const corner = useLay((s) => s.corner);
  const platform = useCourse(chosenPlatform);
  return (
    <>
      {platform &&
        rimPointsOf(platform).map(({ rim, index, edge, at: place }) => {
          const p = see(place);
          const on = !edge && corner?.rim === rim && corner.index === index;
          return (
            p &&
            (edge ? (
              <Circle
                key={`e${rim} ${index}`}
                cx={p[0]}
                cy={p[1]}
                r={5}
                fill={PAPER}
                stroke={MOSS}
                strokeWidth={2}
              />
            ) : (
              <Rect
                key={`c${rim} ${index}`}
                x={p[0] - 8}
                y={p[1] - 8}
                width={16}
                height={16}
                rx={3}
                fill={on ? MOSS : PAPER}
                stroke={MOSS}
                strokeWidth={2.5}
              />
            ))
          );
        })}
    </>
  );
}

/** The posts of the chosen wall. */
function Posts({ see }: { see: See }) {
  const post = useLay((s) => s.post);
  const wall = useCourse(chosenWall);
  return (
    <>
      {wall &&
        postsOf(wall).map((place, i) => {
          const p = see(place);
          return (
            p && (
              <Circle
                key={`p${i}`}
                cx={p[0]}
                cy={p[1]}
                r={9}
                fill={post === i ? MOSS : PAPER}
                stroke={MOSS}
                strokeWidth={2.5}
              />
            )
          );
        })}
    </>
  );
}
