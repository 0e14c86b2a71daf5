import { useWindowDimensions, View } from 'react-native';
import type { Phase } from '../../parts';
import { Ambience } from '../../music/ambience/Ambience';
import { useView } from '../../scene';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { SPACE, useColours, WIDE } from '../../theme';
import { useLay } from '../open/laying';
import { useSceneMode } from '../open/sceneMode';
import { CourseScene } from '../scene/CourseScene';
import { FlyPad } from '../scene/FlyPad';
import { ModeLine } from '../scene/ModeLine';
import { ViewTools } from '../scene/ViewTools';
import { Scrubber } from '../tune/motion/Scrubber';
import { ComparedKey } from '../scene/ComparedScene';
import { WaySaid } from '../open/way/WaySaid';
import { ChoiceSaid } from './ChoiceSaid';
import { HandOrChoice } from './HandOrChoice';
import { NotKept } from './NotKept';
import { TopBar } from './TopBar';
import type { Work } from '../open/work';
import { COURSES_PAGE, goBack } from '../../device/routes';

interface BuildCanvasProps {
  readonly phase: Phase;
  readonly work: Work;
  /** The screen is in front: while another covers it, its scene is let go. Two at once would be one too many. */
  readonly focused: boolean;
  readonly onTune: () => void;
  readonly onRunHere: () => void;
}

/** The scene of a course being built, and what lies over it. */
export function BuildCanvas({ phase, work, focused, onTune, onRunHere }: BuildCanvasProps) {
  const colours = useColours();
  const wide = useWindowDimensions().width >= WIDE;
  const building = phase === 'lay' || phase === 'tune';
  return (
    <View style={{ flex: 1, overflow: 'hidden', backgroundColor: colours.sky }}>
      {focused && <CourseScene work={work} />}
      {focused && <HeardHere />}
      {building && <ChoiceSaid />}
      <View pointerEvents="box-none" style={{ flex: 1 }}>
        <TopBar onBack={() => goBack(COURSES_PAGE)} />
        <NotKept />
        <View
          pointerEvents="box-none"
          style={{ flex: 1, alignItems: 'flex-end', paddingHorizontal: SPACE.s }}
        >
          {(building || work === 'sketch') && <ViewTools bare={phase === 'tune' && !wide} />}
        </View>
        <View pointerEvents="box-none" style={{ padding: SPACE.s, gap: SPACE.s }}>
          <ComparedKey />
          {building && <WaySaid />}
          {building && <Flying />}
          {phase === 'tune' && <Playing wide={wide} />}
          {building && <ModeLine />}
          {phase === 'lay' && <HandOrChoice onTune={onTune} onRunHere={onRunHere} />}
        </View>
      </View>
    </View>
  );
}

/** The scrubber; on a phone it makes room for what the next touch does. */
function Playing({ wide }: { wide: boolean }) {
  const mode = useSceneMode();
  return wide || !mode ? <Scrubber /> : null;
}

/** The pad for flying, where it was asked for. */
function Flying() {
  return useLay((s) => s.flying) ? <FlyPad /> : null;
}

const lookedAt = () => useView.getState().target;

/** The sound of the course about what is looked at. */
function HeardHere() {
  const course = useDebouncedCourse();
  return <Ambience course={course} listener={lookedAt} />;
}
