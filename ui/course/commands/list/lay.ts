import { TURN_STEPS } from '@/core/edit';
import { buildCommands } from '../../open/chosenEdits';
import { useOpen } from '../../open/openStore';
import { closeOutline } from '../../tools/outlineTool';
import { pointedNow } from '../../open/laying';
import { layAt } from '../../tools/pieces';
import { cycle, lay, type Command } from './command';
import { viewCommands } from './view';

/** What is done with the piece in hand. */
export const LAY: readonly Command[] = [
  {
    id: 'lay',
    label: 'Lay the piece in hand',
    group: 'Lay',
    keys: 'Enter',
    run: () => {
      if (lay().tool === 'outline' && lay().stroke.length > 2) closeOutline();
      else layAt(pointedNow());
    },
  },
  {
    id: 'done',
    label: 'Done: let go of what is drawn, in hand or chosen',
    group: 'Lay',
    keys: 'Escape',
    run: buildCommands.done,
  },
  { id: 'turn', label: 'Turn', group: 'Lay', keys: 'T', run: () => buildCommands.turn(1) },
  {
    id: 'hand.axis',
    label: 'In hand: turn about another axis',
    group: 'Lay',
    keys: 'Shift+X',
    run: () => lay().turnHandAbout(cycle([1, 2, 0] as const, lay().handAxis)),
  },
  {
    id: 'hand.row',
    label: 'In hand: a drag lays a row',
    group: 'Lay',
    keys: 'Shift+P',
    run: () => lay().toggleRowing(),
  },
  {
    id: 'turn.back',
    label: 'Turn back',
    group: 'Lay',
    keys: 'Shift+T',
    run: () => buildCommands.turn(-1),
  },
  { id: 'raise', label: 'Raise', group: 'Lay', keys: 'PageUp', run: () => buildCommands.raise(1) },
  {
    id: 'lower',
    label: 'Lower',
    group: 'Lay',
    keys: 'PageDown',
    run: () => buildCommands.raise(-1),
  },
  {
    id: 'flip',
    label: 'Exchange left and right',
    group: 'Lay',
    keys: 'X',
    run: buildCommands.flip,
  },
  {
    id: 'wider',
    label: 'In hand: wider',
    group: 'Lay',
    keys: '.',
    run: () => buildCommands.sizeInHand(0, 1),
  },
  {
    id: 'narrower',
    label: 'In hand: narrower',
    group: 'Lay',
    keys: ',',
    run: () => buildCommands.sizeInHand(0, -1),
  },
  {
    id: 'taller',
    label: 'In hand: taller',
    group: 'Lay',
    keys: '0',
    run: () => buildCommands.sizeInHand(1, 1),
  },
  {
    id: 'flatter',
    label: 'In hand: less tall',
    group: 'Lay',
    keys: '9',
    run: () => buildCommands.sizeInHand(1, -1),
  },
  {
    id: 'deeper',
    label: 'In hand: deeper',
    group: 'Lay',
    keys: ';',
    run: () => buildCommands.sizeInHand(2, 1),
  },
  {
    id: 'shallower',
    label: 'In hand: less deep',
    group: 'Lay',
    keys: "'",
    run: () => buildCommands.sizeInHand(2, -1),
  },
  {
    id: 'plane.on',
    label: 'Work plane on',
    group: 'Lay',
    keys: ']',
    run: () => viewCommands.movePlane(1),
  },
  {
    id: 'plane.back',
    label: 'Work plane back',
    group: 'Lay',
    keys: '[',
    run: () => viewCommands.movePlane(-1),
  },
];

/** What takes hold. */
export const SNAP: readonly Command[] = [
  {
    id: 'snap',
    label: 'All snapping off and on',
    group: 'Snap',
    keys: 'Q',
    run: () => lay().toggleSnap('snapping'),
  },
  {
    id: 'snap.grid',
    label: 'Next grid step',
    group: 'Snap',
    keys: 'G',
    run: viewCommands.nextStep,
  },
  {
    id: 'snap.turn',
    label: 'Next turn step',
    group: 'Snap',
    keys: 'Shift+G',
    run: () => lay().setTurnStep(cycle(TURN_STEPS, lay().turnStep as (typeof TURN_STEPS)[number])),
  },
  {
    id: 'snap.ends',
    label: 'Snap to open ends',
    group: 'Snap',
    run: () => lay().toggleSnap('ends'),
  },
  {
    id: 'snap.corners',
    label: 'Snap to corners',
    group: 'Snap',
    run: () => lay().toggleSnap('corners'),
  },
  {
    id: 'snap.surface',
    label: 'Snap to surfaces',
    group: 'Snap',
    run: () => lay().toggleSnap('surface'),
  },
  {
    id: 'snap.settings',
    label: 'Steps and snaps',
    group: 'Snap',
    keys: 'Shift+Q',
    run: () => useOpen.getState().open('snap'),
  },
];
