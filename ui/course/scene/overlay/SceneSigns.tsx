import { Fragment } from 'react';
import { Circle, G, Path, Text as SvgText } from 'react-native-svg';
import { chosenOf, endIndex } from '@/core/edit';
import type { Finding } from '@/core/check';
import type { Course, Piece } from '@/core/course';
import { middle, type Vec3 } from '@/core/geometry';
import { familyOf, pieceBounds } from '@/core/pieces';
import { useCourse } from '../../../state/courseStore';
import { useLiveOrSnapshot } from '../../../state/panelSnapshot';
import { useDebouncedCourse, useDebouncedOf } from '../../../state/debouncedCourse';
import { DAY } from '../../../theme';
import { useFindings } from '../../open/useFindings';
import { arrowsOf } from './arrows';
import { BeatSigns } from './BeatSigns';
import { path, type Pixel, type See } from './marks';

/** Most signs of a kind that are drawn: more would hide what they stand at. */
const MOST = 120;

/** All that the scene itself tells of a course. */
export function SceneSigns({ see }: { see: See }) {
  return (
    <>
      <OpenEnds see={see} />
      <Directions see={see} />
      <PortalLines see={see} />
      <BeatSigns see={see} />
      <FindingSigns see={see} />
    </>
  );
}

const openTrackEnds = (course: Course): readonly Vec3[] =>
  endIndex(course)
    .open('track')
    .slice(0, MOST)
    .map(({ at }) => at);

/** Open ends of track, each to be touched for what fits there. */
function OpenEnds({ see }: { see: See }) {
  const ends = useDebouncedOf(openTrackEnds);
  const busy = useCourse((s) => s.inHand !== null && familyOf(s.inHand.family).group !== 'track');
  if (busy) return null;
  return (
    <>
      {ends.map((end, i) => {
        const at = see(end);
        return (
          at && (
            <G key={i}>
              <Circle cx={at[0]} cy={at[1]} r={9} fill={DAY.card} opacity={0.85} />
              <Circle cx={at[0]} cy={at[1]} r={9} fill="none" stroke={DAY.moss} strokeWidth={2.5} />
              <Path
                d={`M${at[0] - 4},${at[1]}H${at[0] + 4}M${at[0]},${at[1] - 4}V${at[1] + 4}`}
                stroke={DAY.moss}
                strokeWidth={2.5}
              />
            </G>
          )
        );
      })}
    </>
  );
}

/** Which way boosts and winds push, one-way faces let through and paths lead. */
function Directions({ see }: { see: See }) {
  const arrows = useDebouncedOf(arrowsOf);
  return (
    <>
      {arrows.slice(0, MOST).map(({ piece, from, to }, i) => {
        const [a, b] = [see(from), see(to)];
        return a && b && <Arrow key={`${piece} ${i}`} from={a} to={b} />;
      })}
    </>
  );
}

function Arrow({ from: [ax, ay], to: [bx, by] }: { from: Pixel; to: Pixel }) {
  const length = Math.hypot(bx - ax, by - ay);
  if (length < 6) return null;
  const [ux, uy] = [(bx - ax) / length, (by - ay) / length];
  const head = Math.min(11, length * 0.5);
  const wing = (side: number) =>
    `${bx - ux * head - uy * head * 0.6 * side},${by - uy * head + ux * head * 0.6 * side}`;
  return (
    <G>
      <Path d={`M${ax},${ay}L${bx},${by}`} stroke={DAY.card} strokeWidth={6} opacity={0.7} />
      <Path d={`M${ax},${ay}L${bx},${by}`} stroke={DAY.tide} strokeWidth={3} />
      <Path
        d={`M${wing(1)}L${bx},${by}L${wing(-1)}`}
        stroke={DAY.tide}
        strokeWidth={3}
        fill="none"
      />
    </G>
  );
}

const portalsOf = ({ pieces }: Course): readonly Piece[] =>
  pieces.filter(({ family }) => family === 'portal');

/** A line from each portal to those of its number; stronger where one of them is chosen. */
function PortalLines({ see }: { see: See }) {
  const portals = useDebouncedOf(portalsOf);
  const chosen = useLiveOrSnapshot((s) => chosenOf(s.course, s.choice));
  const pair = (piece: Piece) => Number(piece.params?.pair ?? 1);
  const centre = (piece: Piece) => see(middle(pieceBounds(piece)));
  return (
    <>
      {portals.slice(0, MOST).flatMap((from, i) =>
        portals.slice(i + 1, MOST).flatMap((to) => {
          if (pair(from) !== pair(to)) return [];
          const [a, b] = [centre(from), centre(to)];
          const on = chosen.some(({ id }) => id === from.id || id === to.id);
          if (!a || !b) return [];
          return (
            <Path
              key={`${from.id} ${to.id}`}
              d={path([a, b])}
              stroke={DAY.heather}
              strokeWidth={on ? 3 : 1.5}
              strokeDasharray="2 7"
              strokeLinecap="round"
              opacity={on ? 1 : 0.7}
            />
          );
        }),
      )}
    </>
  );
}

/** What the check found, at its place: an error's sign has corners, a notice's is round. */
function FindingSigns({ see }: { see: See }) {
  const findings = useFindings(useDebouncedCourse());
  return (
    <>
      {findings
        .filter((finding): finding is Finding & { at: Vec3 } => finding.at !== undefined)
        .slice(0, MOST)
        .map(({ at: place, weight, rule }, i) => {
          const at = see(place);
          if (!at) return null;
          const grave = weight === 'error';
          const [x, y] = [at[0], at[1] - 22];
          return (
            <Fragment key={`${rule} ${i}`}>
              {grave ? (
                <Path
                  d={`M${x},${y - 12}L${x + 12},${y + 9}H${x - 12}Z`}
                  fill={DAY.rust}
                  stroke={DAY.card}
                  strokeWidth={2}
                />
              ) : (
                <Circle cx={x} cy={y} r={10} fill={DAY.slate} stroke={DAY.card} strokeWidth={2} />
              )}
              <SvgText
                x={x}
                y={y + (grave ? 7 : 4.5)}
                fontSize={13}
                fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
                fill="#FFFFFF"
                textAnchor="middle"
              >
                {grave ? '!' : 'i'}
              </SvgText>
            </Fragment>
          );
        })}
    </>
  );
}
