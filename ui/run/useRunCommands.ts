import { useCallback, useEffect, useRef, type RefObject } from 'react';
import type { AttemptEvent } from './attempt';
import type { RunCommands } from './controls/useControls';
import type { LiveRun } from './liveRun';
import type { RunProps } from './runProps';

interface Commands {
  /** Ends this attempt and begins the next one. */
  readonly again: () => void;
  /** Ends this attempt and leaves the run. */
  readonly leave: () => void;
  /** The same and more for keys and gamepad, which hold on to it from attempt to attempt. */
  readonly commands: RefObject<RunCommands>;
}

/** The commands of a run that do not move its runner. */
export function useRunCommands(
  { trying, onLeave }: RunProps,
  live: LiveRun,
  send: (event: AttemptEvent) => void,
  end: () => void,
): Commands {
  const again = useCallback(() => {
    end();
    send({ do: 'again' });
  }, [end, send]);
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
  return { again, leave, commands };
}
