import type { RunResult } from '@/core/run';
import type { useAttempt } from './useAttempt';
import type { RunTools } from './useRunTools';
import { CountIn } from './hud/CountIn';
import { PauseSheet } from './PauseSheet';
import type { BeginPlace, RunProps } from './runProps';
import { BeginSheet } from './start/BeginSheet';
import { StartSheet } from './start/StartSheet';

const NO_PLACES: readonly BeginPlace[] = [];

interface RunSheetsProps extends RunProps, ReturnType<typeof useAttempt> {
  readonly tools: RunTools;
  /** Whether the runner is steered by touch. */
  readonly touch: boolean;
  readonly onAgain: () => void;
  /** Leaves the run, whatever it has come to. */
  readonly leave: () => void;
  /** Tells that the attempt is over. */
  readonly end: (result: RunResult) => void;
}

/** What comes up before a run, in a pause, and at an end without the goal. */
export function RunSheets(props: RunSheetsProps) {
  const { course, attempt, send, live, starts, leave, end, trying, tools } = props;
  const { choosing, counting, paused, placing, ended, done } = attempt;
  return (
    <>
      {counting && !paused && !choosing && (
        <CountIn
          key={attempt.number}
          seconds={course.countdown ?? 0}
          onGo={() => send({ do: 'counted' })}
        />
      )}
      <StartSheet
        open={choosing}
        count={starts}
        chosen={attempt.start}
        onChoose={(start) => send({ do: 'start', start })}
        // Before the first attempt there is none to begin again.
        onGo={() => send({ do: 'begin', begun: live.state.tick > 0 })}
        onLeave={leave}
      />
      <PauseSheet
        open={(paused || !!ended) && !done && !placing && !tools.arranging}
        ended={ended}
        shapes={tools.shapes}
        onShapes={tools.onShapes}
        tools={trying && tools.tools}
        onTools={tools.onTools}
        onArrange={props.touch ? () => tools.onArranging(true) : undefined}
        leaveLabel={props.leaveLabel}
        onGoOn={() => send({ do: 'go-on' })}
        onAgain={props.onAgain}
        onStarts={
          starts > 1 && course.starts === 'choice' ? () => send({ do: 'ask-start' }) : undefined
        }
        onPlaces={trying && (() => send({ do: 'ask-place' }))}
        onLeave={leave}
      />
      {trying && (
        <BeginSheet
          open={placing}
          places={placing ? trying.places() : NO_PLACES}
          onBegin={(beginning) => {
            end(live.result());
            trying.onBegin(beginning);
            send({ do: 'again' });
          }}
          onClose={() => send({ do: 'place-kept' })}
        />
      )}
    </>
  );
}
