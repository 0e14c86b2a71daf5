import {
  chosenOf,
  chooseAlike,
  chooseAll,
  chooseOthers,
  clearMarks,
  GRID_STEPS,
  mirrorCopies,
  setSymmetry,
  TURN_STEPS,
} from '@/core/assemble';
import { middle, unionBounds } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { PHASES, type Phase } from '../parts';
import { useView, VIEW_MODES } from '../scene';
import { useCourse } from '../state/courseStore';
import { buildCommands, lookAtChoice } from './commands';
import { planeNow } from './landing';
import { HANDLE_MODES, takeTool, useLay, type LayTool } from './layStore';
import { useOpen } from './openStore';
import { restingAt } from './useGhost';
import { closeOutline } from './tools/outlineTool';
import { layAt } from './tools/pieceTool';

/** Something that can be done while building, by its name or its keys. */
export interface Command {
  readonly id: string;
  readonly label: string;
  readonly group: 'Go' | 'View' | 'Lay' | 'Snap' | 'Choose' | 'Chosen' | 'Tools';
  /** Usual keys, as the browser names them with their modifiers; changeable. */
  readonly keys?: string;
  readonly run: () => void;
}

/** What the screen does for commands that go somewhere; set while a course is open. */
export const going: { to: (phase: Phase) => void; help: () => void; runHere: () => void } = {
  to: () => {},
  help: () => {},
  runHere: () => {},
};

const course = () => useCourse.getState();
const lay = () => useLay.getState();
const view = () => useView.getState();
const tool = (id: LayTool) => () => {
  going.to('lay');
  takeTool(id);
};
const cycle = <T>(all: readonly T[], now: T): T => all[(all.indexOf(now) + 1) % all.length];
const upright = () => planeNow().axis === 'z';

export const viewCommands = {
  nextView: () => view().setMode(cycle(VIEW_MODES, view().mode)),
  nextStep: () => {
    const step = cycle(GRID_STEPS, lay().steps[0] as (typeof GRID_STEPS)[number]);
    lay().set({ steps: [step, step, step], snapping: true });
  },
  movePlane: (ways: 1 | -1) => {
    const now = lay();
    const { axis } = planeNow();
    const by = ways * (now.steps[axis === 'z' ? 2 : 1] || 0.25);
    now.set(axis === 'z' ? { depth: now.depth + by } : { level: now.level + by });
  },
  fit: () => view().fit(course().course),
};

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

const sideways = (yaw: number, pitch: number) => () => view().look({ mode: 'free', yaw, pitch });

/** Every command, in the order of the help page. */
export const COMMANDS: readonly Command[] = [
  ...PHASES.map((phase, i): Command => ({
    id: `go.${phase}`,
    label: `${phase[0].toUpperCase()}${phase.slice(1)}`,
    group: 'Go',
    keys: `${i + 1}`,
    run: () => going.to(phase),
  })),
  {
    id: 'go.here',
    label: 'Run from here',
    group: 'Go',
    keys: 'Shift+4',
    run: () => going.runHere(),
  },
  { id: 'undo', label: 'Undo', group: 'Go', keys: 'Ctrl+Z', run: () => course().undo() },
  { id: 'redo', label: 'Redo', group: 'Go', keys: 'Ctrl+Y', run: () => course().redo() },
  {
    id: 'find',
    label: 'Find a command',
    group: 'Go',
    keys: 'Ctrl+K',
    run: () => useOpen.getState().open('finder'),
  },
  { id: 'help', label: 'All keys and touches', group: 'Go', keys: '?', run: () => going.help() },

  {
    id: 'view.next',
    label: 'Next view: side, above, free',
    group: 'View',
    keys: 'V',
    run: viewCommands.nextView,
  },
  {
    id: 'view.side',
    label: 'Straight from the side',
    group: 'View',
    keys: 'Shift+1',
    run: () => view().setMode('side'),
  },
  {
    id: 'view.above',
    label: 'Straight down',
    group: 'View',
    keys: 'Shift+2',
    run: () => view().setMode('above'),
  },
  { id: 'view.end', label: 'From the end', group: 'View', keys: 'Shift+3', run: sideways(-90, 6) },
  {
    id: 'view.free',
    label: 'Free view',
    group: 'View',
    keys: 'Shift+5',
    run: () => view().setMode('free'),
  },
  { id: 'view.fit', label: 'All in view', group: 'View', keys: 'Home', run: viewCommands.fit },
  { id: 'view.choice', label: 'Go to the choice', group: 'View', keys: 'F', run: lookAtChoice },
  {
    id: 'view.plan',
    label: 'Plan of the whole course',
    group: 'View',
    keys: 'M',
    run: () => useOpen.getState().toggle('plan'),
  },
  {
    id: 'view.left',
    label: 'Fly to the left',
    group: 'View',
    keys: 'Shift+ArrowLeft',
    run: () => view().fly(-1, 0, 0),
  },
  {
    id: 'view.right',
    label: 'Fly to the right',
    group: 'View',
    keys: 'Shift+ArrowRight',
    run: () => view().fly(1, 0, 0),
  },
  {
    id: 'view.ahead',
    label: 'Fly ahead',
    group: 'View',
    keys: 'Shift+ArrowUp',
    run: () => view().fly(0, 0, 1),
  },
  {
    id: 'view.back',
    label: 'Fly back',
    group: 'View',
    keys: 'Shift+ArrowDown',
    run: () => view().fly(0, 0, -1),
  },
  {
    id: 'view.up',
    label: 'Fly up',
    group: 'View',
    keys: 'Shift+PageUp',
    run: () => view().fly(0, 1, 0),
  },
  {
    id: 'view.down',
    label: 'Fly down',
    group: 'View',
    keys: 'Shift+PageDown',
    run: () => view().fly(0, -1, 0),
  },
  { id: 'view.faster', label: 'Fly faster', group: 'View', keys: '+', run: () => view().pace(1.5) },
  {
    id: 'view.slower',
    label: 'Fly slower',
    group: 'View',
    keys: '-',
    run: () => view().pace(1 / 1.5),
  },

  {
    id: 'lay',
    label: 'Lay the piece in hand',
    group: 'Lay',
    keys: 'Enter',
    run: () => {
      if (lay().tool === 'outline' && lay().stroke.length > 2) closeOutline();
      else layAt(lay().ghostAt ?? restingAt(view().mode, lay(), view().target));
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

  {
    id: 'snap',
    label: 'All snapping off and on',
    group: 'Snap',
    keys: 'Q',
    run: () => lay().set({ snapping: !lay().snapping }),
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
    run: () =>
      lay().set({ turnStep: cycle(TURN_STEPS, lay().turnStep as (typeof TURN_STEPS)[number]) }),
  },
  {
    id: 'snap.ends',
    label: 'Snap to open ends',
    group: 'Snap',
    run: () => lay().set({ ends: !lay().ends }),
  },
  {
    id: 'snap.corners',
    label: 'Snap to corners',
    group: 'Snap',
    run: () => lay().set({ corners: !lay().corners }),
  },
  {
    id: 'snap.surface',
    label: 'Snap to surfaces',
    group: 'Snap',
    run: () => lay().set({ surface: !lay().surface }),
  },
  {
    id: 'snap.settings',
    label: 'Steps and snaps',
    group: 'Snap',
    keys: 'Shift+Q',
    run: () => useOpen.getState().open('snap'),
  },

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
    run: () => lay().set({ adding: !lay().adding }),
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
  { id: 'duplicate', label: 'Duplicate', group: 'Chosen', keys: 'C', run: buildCommands.duplicate },
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
  { id: 'ramp', label: 'Make a ramp: pull an edge down', group: 'Chosen', run: buildCommands.ramp },
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
    run: () => lay().set({ handles: cycle(HANDLE_MODES, lay().handles) }),
  },
  {
    id: 'handles.own',
    label: "Handles along the piece's own axes",
    group: 'Chosen',
    keys: 'A',
    run: () => lay().set({ ownAxes: !lay().ownAxes }),
  },
  {
    id: 'handles.both',
    label: 'Stretch from both sides',
    group: 'Chosen',
    keys: 'Shift+E',
    run: () => lay().set({ bothSides: !lay().bothSides }),
  },
  {
    id: 'kit.keep',
    label: 'Keep the choice in the kit',
    group: 'Chosen',
    run: () => useOpen.getState().open('kit'),
  },

  { id: 'tool.pieces', label: 'Pieces', group: 'Tools', keys: 'P', run: tool('pieces') },
  {
    id: 'tool.choose',
    label: 'Choose by drawing round',
    group: 'Tools',
    keys: 'I',
    run: tool('choose'),
  },
  { id: 'tool.wall', label: 'Draw a wall', group: 'Tools', keys: 'W', run: tool('wall') },
  { id: 'tool.fill', label: 'Fill an area', group: 'Tools', keys: 'Y', run: tool('fill') },
  { id: 'tool.outline', label: 'Draw a platform', group: 'Tools', keys: 'U', run: tool('outline') },
  { id: 'tool.scatter', label: 'Scatter scenery', group: 'Tools', keys: 'R', run: tool('scatter') },
  { id: 'tool.paint', label: 'Paint', group: 'Tools', keys: 'D', run: tool('paint') },
  { id: 'tool.kit', label: 'Kit', group: 'Tools', run: tool('kit') },
  { id: 'tool.symmetry', label: 'Symmetry', group: 'Tools', run: tool('symmetry') },
  { id: 'tool.layers', label: 'Layers', group: 'Tools', run: tool('layers') },
  { id: 'tool.sky', label: 'Sky and sound', group: 'Tools', run: tool('sky') },
  {
    id: 'symmetry.off',
    label: 'Symmetry off',
    group: 'Tools',
    run: () => course().edit((c) => setSymmetry(c, null)),
  },
];
