import { CHOOSE, CHOSEN } from './chosen';
import type { Command } from './command';
import { GO } from './go';
import { LAY, SNAP } from './lay';
import { TOOLS } from './tools';
import { VIEW } from './view';

export { type Command, type CommandContext } from './command';
export { viewCommands } from './view';

/** Every command, in the order of the help page. */
export const COMMANDS: readonly Command[] = [
  ...GO,
  ...VIEW,
  ...LAY,
  ...SNAP,
  ...CHOOSE,
  ...CHOSEN,
  ...TOOLS,
];
