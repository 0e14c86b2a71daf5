import { Fragment } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { chosenOf } from '@/core/edit';
import type { Piece } from '@/core/course';
import { pixelOf, useView } from '../../../scene';
import { useLiveOrSnapshot } from '../../../state/panelSnapshot';
import { useTuneOf } from '../../open/tuneStore';
import { CameraFrame } from './CameraFrame';
import { LinkMarks } from './LinkMarks';
import type { See } from './marks';
import { Onion, Ranges, Throw } from './MotionMarks';
import { PathMarks } from './PathMarks';
import { PoseMarks } from './PoseMarks';
import { RegionMarks } from './RegionMarks';

/** Marks over the scene that belong to tuning: paths, ranges, links, regions, the camera's frame. */
export function TuneOverlay() {
  const view = useView();
  const { frameAt } = useTuneOf('frameAt');
  const see: See = (p) => pixelOf(view, p);
  // What follows the course follows it by itself: a drag has no more drawn anew than it moves.
  return (
    <View pointerEvents="none" style={{ position: 'absolute', inset: 0 }}>
      <Svg width={view.width} height={view.height}>
        <RegionMarks see={see} />
        <ChosenMarks see={see} />
        <LinkMarks see={see} />
        {frameAt !== null && <CameraFrame at={frameAt} />}
      </Svg>
    </View>
  );
}

const hasMarks = ({ motion, wake, thrower }: Piece) => Boolean(motion ?? wake ?? thrower);

function ChosenMarks({ see }: { see: See }) {
  const chosen = useLiveOrSnapshot((s) => chosenOf(s.course, s.choice));
  const { tab, drawingPath, onion } = useTuneOf('tab', 'drawingPath', 'onion');
  return (
    <>
      {(onion ? chosen : chosen.filter(hasMarks)).map((piece) => (
        <Fragment key={piece.id}>
          {onion && <Onion piece={piece} see={see} />}
          <PathMarks piece={piece} see={see} knobs={drawingPath || tab === 'motion'} />
          {tab === 'motion' && <PoseMarks piece={piece} see={see} />}
          <Ranges piece={piece} see={see} />
          {piece.thrower && <Throw piece={piece} see={see} />}
        </Fragment>
      ))}
    </>
  );
}
