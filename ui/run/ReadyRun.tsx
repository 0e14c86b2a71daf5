import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { FieldIndex } from '@/core/run';
import { Ambience } from '../music/ambience/Ambience';
import { Canvas, useGestures } from '../scene';
import { useColours, WIDE } from '../theme';
import { isHeld } from './attempt';
import { ArrangeControls } from './controls/ArrangeControls';
import { FlyControls } from './controls/FlyControls';
import { FlickAim } from './controls/FlickAim';
import { TouchControls } from './controls/TouchControls';
import { useControls, type RunCommands } from './controls/useControls';
import { useFlick } from './controls/useFlick';
import { useGamepad } from './controls/useGamepad';
import { RunHud } from './hud/RunHud';
import type { LiveRun } from './liveRun';
import { PaleGapWords } from './pale/PaleGapWords';
import type { PaleRun } from './pale/paleRun';
import { RunMusic } from './RunMusic';
import type { RunProps } from './runProps';
import { RUNNER_ROWS } from './runners';
import { RunScene } from './RunScene';
import { RunSheets } from './RunSheets';
import { useStones } from './stones/useStones';
import { TryingBar } from './trying/TryingBar';
import { useAttempt, useEndTold, useFinish } from './useAttempt';

const NO_PALES: readonly PaleRun[] = [];

/** The scene, the clock, the controls, and what follows the goal. */
export function ReadyRun(props: RunProps) {
  const { course, best, finished, trying } = props;
  const colours = useColours();
  const { width } = useWindowDimensions();
  const { attempt, send, live, starts } = useAttempt(props);
  const end = useEndTold(live, props);
  const [shapes, setShapes] = useState(false);
  const [tools, setTools] = useState(false);
  const [arranging, setArranging] = useState(false);
  const [flown, setFlown] = useState<LiveRun | null>(null);
  // Each attempt begins on its feet.
  const flying = flown === live;
  const pales = props.beginning === undefined ? (props.pales ?? NO_PALES) : NO_PALES;
  const sideOn = course.space === 'side-on';
  const held = isHeld(attempt);
  // What goes on is worked, not arranged.
  if (!held && arranging) setArranging(false);
  const again = useCallback(() => {
    end();
    send({ do: 'again' });
  }, [end, send]);
  const { onLeave } = props;
  const leave = useCallback(() => {
    end();
    onLeave(live);
  }, [live, onLeave, end]);
  const commands = useRef<RunCommands>({
    pause: () => send({ do: 'toggle-pause' }),
    restart: again,
  });
  useEffect(() => {
    commands.current.restart = again;
    commands.current.keep = trying && (() => trying.onKeep(live));
    commands.current.leave = trying && leave;
  }, [again, leave, trying, live]);
  const { kind } = course.runner;
  const worked = RUNNER_ROWS[kind].controls.kind;
  const controls = useControls(kind, sideOn, (input, at) => live.tell(input, at), commands);
  const flick = useFlick(live, worked === 'strokes' && !held && !flying);
  useGamepad(worked, controls, flick.strokes, commands);
  const host = useRef<View>(null);
  const still = useMemo(() => ({ begin: () => sideOn || worked === 'pedals' }), [sideOn, worked]);
  useGestures(host, worked === 'strokes' && !flying ? flick.tool : still);

  const finish = useFinish(props, live, send, end);
  const stones = useStones(props, live, attempt.done !== null);
  const touch = (width < WIDE || navigator.maxTouchPoints > 0) && worked !== 'strokes';
  return (
    <View style={{ flex: 1, backgroundColor: colours.sky, overflow: 'hidden' }}>
      <View ref={host} style={{ position: 'absolute', inset: 0 }}>
        <Canvas running={!held}>
          <RunScene
            course={course}
            live={live}
            held={held}
            controls={controls}
            shapes={shapes}
            pales={pales}
            stones={stones}
            onFinish={finish}
          />
        </Canvas>
      </View>
      {worked === 'strokes' && !held && !flying && (
        <FlickAim live={live} aim={flick.aim} ready={flick.ready()} />
      )}
      <RunMusic live={live} course={course} held={held} />
      <HeardThere live={live} course={course} />
      {!arranging && stones.length === 0 && (
        <RunHud
          live={live}
          course={course}
          best={best}
          before={props.before}
          // Going tick by tick, clock and counts go along.
          held={held && !attempt.stepping}
          onPause={() => send({ do: 'pause' })}
          onLeave={trying && leave}
        >
          <PaleGapWords live={live} pales={pales} held={held} />
          {trying && tools && (
            <TryingBar
              key={attempt.number}
              live={live}
              stepping={attempt.stepping}
              flying={flying}
              onFly={(now) => setFlown(now ? live : null)}
              onStep={() => send({ do: 'step' })}
              onGoOn={() => send({ do: 'go-on' })}
              onKeep={() => trying.onKeep(live)}
            />
          )}
        </RunHud>
      )}
      <View pointerEvents="box-none" style={{ flex: 1, justifyContent: 'flex-end' }}>
        {/* They stay, unseen, under what follows the goal: a finger still held there belongs to them. */}
        {flying && <FlyControls live={live} sideOn={sideOn} />}
        {touch && !flying && (
          <TouchControls
            kind={kind}
            controls={controls}
            sideOn={sideOn}
            hidden={held && !attempt.stepping && !arranging}
            arranging={arranging}
          />
        )}
      </View>
      {arranging && (
        <View
          pointerEvents="box-none"
          style={{ position: 'absolute', left: 0, right: 0, top: 0, alignItems: 'center' }}
        >
          <ArrangeControls kind={kind} onDone={() => setArranging(false)} />
        </View>
      )}
      {attempt.done && finished(attempt.done, again)}
      <RunSheets
        {...props}
        attempt={attempt}
        send={send}
        live={live}
        starts={starts}
        shapes={shapes}
        onShapes={setShapes}
        tools={tools}
        onTools={setTools}
        arranging={touch ? arranging : null}
        onArrange={() => setArranging(true)}
        onAgain={again}
        leave={leave}
        end={end}
      />
    </View>
  );
}

/** The sound of the course about the runner. */
function HeardThere({ live, course }: { live: LiveRun; course: Course }) {
  const at = useCallback((): Vec3 => [live.state.x, live.state.y, live.state.z], [live]);
  const isQuiet = useCallback(() => live.state.field[FieldIndex.quiet] > 0, [live]);
  return <Ambience course={course} listener={at} quiet={isQuiet} />;
}
