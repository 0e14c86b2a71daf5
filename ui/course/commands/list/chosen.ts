import {
  chosenOf,
  chooseAlike,
  chooseAll,
  chooseOthers,
  clearMarks,
  mirrorCopies,
} from '@/core/edit';
import { middle, unionBounds } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { buildCommands } from '../../open/chosenEdits';
import { copyChosen, pasteChosen } from '../clipboard';
import { HANDLE_MODES } from '../../open/laying';
import { useOpen } from '../../open/openStore';
import { type Command, course, lay, cycle, upright } from './command';

const mirrorChoice = (axis: 'x' | 'z') => () => {
  const { course: now, choice, edit, choose } = course();
  const chosen = chosenOf(now, choice);
  if (chosen.length === 0) return;
  const [mx, , mz] = middle(unionBounds(now.pieces.map(pieceBounds)));
  const [x, z] = now.symmetry?.at ?? [mx, mz];
  const at = axis === 'x' ? x : z;
  const { course: next, copies } = mirrorCopies(now, choice, { axis, at });
  edit(() => next);
  choose(copies);
};

/** How pieces are chosen. */
export const CHOOSE: readonly Command[] = [
  {
    id: 'choose.all',
    label: 'Choose all',
    group: 'Choose',
    keys: 'Ctrl+A',
    run: () => course().choose(chooseAll(course().course)),
  },
  {
    id: 'choose.others',
    label: 'Choose the others',
    group: 'Choose',
    keys: 'Ctrl+I',
    run: () => course().choose(chooseOthers(course().course, course().choice)),
  },
  ...(['family', 'group', 'role', 'look', 'layer'] as const).map((likeness): Command => ({
    id: `choose.${likeness}`,
    label: {
      family: 'Choose all of the same piece',
      group: 'Choose all of the same kind',
      role: 'Choose all of the same role',
      look: 'Choose all with the same paint',
      layer: 'Choose all in the same layer',
    }[likeness],
    group: 'Choose',
    keys: likeness === 'family' ? 'K' : undefined,
    run: () => course().choose(chooseAlike(course().course, course().choice, likeness)),
  })),
  {
    id: 'choose.add',
    label: 'Add to the choice by touch',
    group: 'Choose',
    keys: 'Shift+I',
    run: () => lay().toggleChoosing('adding'),
  },
];

/** What is done to those that are. */
export const CHOSEN: readonly Command[] = [
  {
    id: 'take.like',
    label: 'Take another like it in hand',
    group: 'Chosen',
    keys: 'Shift+D',
    run: buildCommands.takeLike,
  },
  {
    id: 'move.left',
    label: 'Move left',
    group: 'Chosen',
    keys: 'ArrowLeft',
    run: () => buildCommands.move(-1, 0, 0),
  },
  {
    id: 'move.right',
    label: 'Move right',
    group: 'Chosen',
    keys: 'ArrowRight',
    run: () => buildCommands.move(1, 0, 0),
  },
  {
    id: 'move.up',
    label: 'Move up, or away',
    group: 'Chosen',
    keys: 'ArrowUp',
    run: () => (upright() ? buildCommands.move(0, 1, 0) : buildCommands.move(0, 0, -1)),
  },
  {
    id: 'move.down',
    label: 'Move down, or nearer',
    group: 'Chosen',
    keys: 'ArrowDown',
    run: () => (upright() ? buildCommands.move(0, -1, 0) : buildCommands.move(0, 0, 1)),
  },
  {
    id: 'copy',
    label: 'Copy',
    group: 'Chosen',
    keys: 'Ctrl+C',
    native: true,
    run: () => void copyChosen(false),
  },
  {
    id: 'cut',
    label: 'Cut',
    group: 'Chosen',
    keys: 'Ctrl+X',
    native: true,
    run: () => void copyChosen(true),
  },
  {
    id: 'paste',
    label: 'Paste',
    group: 'Chosen',
    keys: 'Ctrl+V',
    native: true,
    run: () => void pasteChosen(),
  },
  { id: 'duplicate', label: 'Duplicate', group: 'Chosen', keys: 'C', run: buildCommands.duplicate },
  {
    id: 'duplicate.here',
    label: 'Duplicate in place',
    group: 'Chosen',
    keys: 'Ctrl+D',
    run: buildCommands.duplicateHere,
  },
  {
    id: 'align',
    label: 'Line up and spread',
    group: 'Chosen',
    keys: 'Shift+A',
    run: () => useOpen.getState().open('align'),
  },
  {
    id: 'copies',
    label: 'Copies: steps, row, ring, mirror',
    group: 'Chosen',
    keys: 'Shift+C',
    run: () => useOpen.getState().open('copies'),
  },
  {
    id: 'mirror.x',
    label: 'Mirrored copy over the middle, left and right',
    group: 'Chosen',
    run: mirrorChoice('x'),
  },
  {
    id: 'mirror.z',
    label: 'Mirrored copy over the middle, near and far',
    group: 'Chosen',
    run: mirrorChoice('z'),
  },
  { id: 'delete', label: 'Delete', group: 'Chosen', keys: 'Delete', run: buildCommands.remove },
  {
    id: 'swap',
    label: 'Swap for another piece',
    group: 'Chosen',
    keys: 'S',
    run: () => useOpen.getState().open('swap'),
  },
  { id: 'group', label: 'Group', group: 'Chosen', keys: 'Ctrl+G', run: buildCommands.group },
  {
    id: 'ungroup',
    label: 'Take the group apart',
    group: 'Chosen',
    keys: 'Ctrl+Shift+G',
    run: buildCommands.ungroup,
  },
  {
    id: 'ungroup.all',
    label: 'Take every group apart',
    group: 'Chosen',
    run: buildCommands.ungroupAll,
  },
  { id: 'hide', label: 'Hide', group: 'Chosen', keys: 'H', run: buildCommands.hide },
  {
    id: 'show',
    label: 'Show everything',
    group: 'Chosen',
    keys: 'Shift+H',
    run: () => course().edit((c) => clearMarks(c, 'hidden')),
  },
  { id: 'lock', label: 'Lock', group: 'Chosen', keys: 'L', run: buildCommands.lock },
  {
    id: 'unlock',
    label: 'Unlock everything',
    group: 'Chosen',
    keys: 'Shift+L',
    run: () => course().edit((c) => clearMarks(c, 'locked')),
  },
  {
    id: 'drop',
    label: 'Drop to what is below',
    group: 'Chosen',
    keys: 'B',
    run: buildCommands.drop,
  },
  {
    id: 'lie',
    label: 'Lie along the slope',
    group: 'Chosen',
    keys: 'N',
    run: buildCommands.lieAlong,
  },
  {
    id: 'ramp',
    label: 'Make a ramp: pull an edge down',
    group: 'Chosen',
    keys: 'Shift+N',
    run: buildCommands.ramp,
  },
  {
    id: 'corner',
    label: 'Line up by a corner: touch two',
    group: 'Chosen',
    keys: 'Shift+O',
    run: () => lay().lineUpCorner(null),
  },
  {
    id: 'drag.copy',
    label: 'A drag moves a copy',
    group: 'Chosen',
    keys: 'Shift+S',
    run: () => lay().toggleChoosing('dragCopies'),
  },
  {
    id: 'sink',
    label: 'Sink by 10 cm',
    group: 'Chosen',
    keys: 'J',
    run: () => buildCommands.sink(0.1),
  },
  {
    id: 'unsink',
    label: 'Raise by 10 cm',
    group: 'Chosen',
    keys: 'Shift+J',
    run: () => buildCommands.sink(-0.1),
  },
  {
    id: 'turn.none',
    label: 'Take every turn away',
    group: 'Chosen',
    keys: 'Shift+R',
    run: buildCommands.resetTurn,
  },
  {
    id: 'origin',
    label: 'Put at the origin',
    group: 'Chosen',
    keys: 'O',
    run: buildCommands.toOrigin,
  },
  {
    id: 'handles',
    label: 'Next handles: move, turn, stretch',
    group: 'Chosen',
    keys: 'E',
    run: () => lay().setHandles(cycle(HANDLE_MODES, lay().handles)),
  },
  {
    id: 'handles.own',
    label: "Handles along the piece's own axes",
    group: 'Chosen',
    keys: 'A',
    run: () => lay().toggleChoosing('ownAxes'),
  },
  {
    id: 'handles.both',
    label: 'Stretch from both sides',
    group: 'Chosen',
    keys: 'Shift+E',
    run: () => lay().toggleChoosing('bothSides'),
  },
  {
    id: 'kit.keep',
    label: 'Keep the choice in the kit',
    group: 'Chosen',
    keys: 'Shift+B',
    run: () => useOpen.getState().open('kit'),
  },
];
