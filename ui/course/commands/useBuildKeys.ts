import { useEffect } from 'react';
import { commandFor, keysOf } from './keys';
import type { Navigation } from './navigation';
import { useOpen } from '../open/openStore';

/** The keys of building; none while something is being typed or a sheet lies open. */
export function useBuildKeys(active: boolean, navigation: Navigation): void {
  useEffect(() => {
    if (!active) return;
    const down = (event: KeyboardEvent) => {
      // Something has used it already: a row that is being moved.
      if (event.defaultPrevented) return;
      const { target } = event;
      if (target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(target.tagName)) return;
      if (/^(Alt|Control|Shift|Meta)$/.test(event.key)) return;
      const { sheet } = useOpen.getState();
      if (sheet && sheet !== 'plan') return;
      let keys = keysOf(event);
      // Redo by the other keys that stand for it everywhere.
      if (keys === 'Ctrl+Shift+Z') keys = 'Ctrl+Y';
      const command = commandFor(keys);
      if (!command || (command.native && keys === command.keys)) return;
      event.preventDefault();
      command.run({ navigation });
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [active, navigation]);
}
