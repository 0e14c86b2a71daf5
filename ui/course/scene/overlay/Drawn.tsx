import { Circle, G, Path, Rect } from 'react-native-svg';
import { postsOf } from '@/core/edit';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLay, useLayOf } from '../../lay/layStore';
import { chosenPlatform, rimPointsOf } from '../../lay/tools/outlineTool';
import { chosenWall } from '../../lay/tools/wallTool';
import { INK, MOSS, RUST, PAPER, Label, path, type See } from './marks';

/** Lines, corners and areas that tools are drawing, and what they say of them. */
export function Drawn({ see }: { see: See }) {
  const view = useView();
  const {
    stroke,
    lasso,
    fault,
    tool,
    sketching,
    brush,
    strewing: ways,
    cornering,
  } = useLayOf('stroke', 'lasso', 'fault', 'tool', 'sketching', 'brush', 'strewing', 'cornering');
  const pixels = stroke.map(see);
  const fault2 = fault && see(fault.at);
  const strewing = tool === 'scatter' && ways !== 'area' && !sketching;
  const closed = (tool === 'fill' || (tool === 'scatter' && ways === 'area')) && !sketching;
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
      {strewing && stroke.length > 1 && (
        <Path
          d={path(pixels)}
          stroke={ways === 'erase' ? RUST : MOSS}
          strokeWidth={Math.max(12, brush * 16)}
          strokeOpacity={0.35}
          strokeLinecap="round"
          strokeLinejoin="round"
          fill="none"
        />
      )}
      {!strewing && stroke.length > 1 && (
        <Path
          d={path(pixels, closed)}
          fill={closed ? MOSS : 'none'}
          fillOpacity={0.15}
          stroke={sketching ? INK : MOSS}
          strokeWidth={3}
          strokeLinejoin="round"
        />
      )}
      {!strewing &&
        sketching !== 'draw' &&
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
      {tool === 'outline' && <Corners see={see} />}
      {tool === 'wall' && <Posts see={see} />}
      {cornering && (
        <>
          {cornering.own && see(cornering.own) && (
            <Circle
              cx={see(cornering.own)![0]}
              cy={see(cornering.own)![1]}
              r={9}
              fill={PAPER}
              stroke={MOSS}
              strokeWidth={4}
            />
          )}
          <Label
            at={[view.width / 2, 100]}
            words={
              cornering.own ? 'Touch the corner to go to' : 'Touch a corner of the chosen piece'
            }
            tint={MOSS}
          />
        </>
      )}
      {fault2 && (
        <G>
          <Path
            d={`M${fault2[0] - 9},${fault2[1] - 9}L${fault2[0] + 9},${fault2[1] + 9}M${fault2[0] + 9},${fault2[1] - 9}L${fault2[0] - 9},${fault2[1] + 9}`}
            stroke={RUST}
            strokeWidth={4}
          />
          <Label at={[fault2[0], fault2[1] - 28]} words={fault!.words} tint={RUST} />
        </G>
      )}
      <Measure see={see} />
    </>
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
