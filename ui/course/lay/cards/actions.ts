import type { IconName } from '../../../parts';
import { copyChosen } from '../../commands/clipboard';
import { buildCommands } from '../../open/chosenEdits';
import { useOpen, type OpenSheet } from '../../open/openStore';
import { HANDLE_MODES, useLay, type HandleMode, type LayState } from '../../open/laying';

/** What the buttons for the chosen pieces depend on. */
export interface ChoiceNow extends Pick<
  LayState,
  'handles' | 'ownAxes' | 'bothSides' | 'adding' | 'dragCopies'
> {
  readonly grouped: boolean;
  /** Seen from the side. */
  readonly upright: boolean;
}

/** Something that is done to the chosen pieces. */
export interface ChoiceAction {
  readonly icon: IconName;
  readonly label: string;
  readonly act: () => void;
  /** The command whose key does the same. */
  readonly command?: string;
  /** The key itself, where it is no command's. */
  readonly keys?: string;
  readonly danger?: boolean;
  /** Only then it is offered. */
  readonly when?: (now: ChoiceNow) => boolean;
  /** Whether it is on, of what can be. */
  readonly on?: (now: ChoiceNow) => boolean;
  readonly testID?: string;
}

const { move, turn, duplicate, remove } = buildCommands;
const open = (sheet: OpenSheet) => () => useOpen.getState().open(sheet);
const flip = (key: 'ownAxes' | 'bothSides' | 'dragCopies' | 'adding') => () =>
  useLay.getState().toggleChoosing(key);
const fromAbove = ({ upright }: ChoiceNow) => !upright;

/** Steps by the grid, and what is done most. */
export const STEP_ACTIONS: readonly ChoiceAction[] = [
  { icon: 'arrow-left', label: 'Move left', keys: '←', act: () => move(-1, 0, 0) },
  { icon: 'arrow-right', label: 'Move right', keys: '→', act: () => move(1, 0, 0) },
  {
    icon: 'arrow-up',
    label: 'Move away',
    keys: '↑',
    when: fromAbove,
    act: () => move(0, 0, -1),
  },
  {
    icon: 'arrow-down',
    label: 'Move nearer',
    keys: '↓',
    when: fromAbove,
    act: () => move(0, 0, 1),
  },
  { icon: 'chevrons-up', label: 'Raise', command: 'raise', act: () => move(0, 1, 0) },
  { icon: 'chevrons-down', label: 'Lower', command: 'lower', act: () => move(0, -1, 0) },
  { icon: 'rotate-ccw', label: 'Turn', command: 'turn', act: () => turn(1) },
  {
    icon: 'copy',
    label: 'Duplicate',
    command: 'duplicate',
    when: ({ upright }) => upright,
    act: duplicate,
  },
  { icon: 'trash-2', label: 'Delete', command: 'delete', danger: true, act: remove },
];

const HANDLES: Record<HandleMode, Pick<ChoiceAction, 'icon' | 'label'>> = {
  move: { icon: 'move', label: 'Move' },
  turn: { icon: 'rotate-ccw', label: 'Turn' },
  stretch: { icon: 'maximize-2', label: 'Stretch' },
  slope: { icon: 'trending-up', label: 'Edges' },
};

/** Handles, then all the rest. */
export const CHOICE_ACTIONS: readonly ChoiceAction[] = [
  ...HANDLE_MODES.map((mode) => ({
    ...HANDLES[mode],
    command: 'handles',
    on: ({ handles }: ChoiceNow) => handles === mode,
    act: () => useLay.getState().setHandles(mode),
  })),
  {
    icon: 'compass',
    label: 'Own axes',
    command: 'handles.own',
    on: ({ ownAxes }) => ownAxes,
    act: flip('ownAxes'),
  },
  {
    icon: 'code',
    label: 'Both sides',
    command: 'handles.both',
    when: ({ handles }) => handles === 'stretch',
    on: ({ bothSides }) => bothSides,
    act: flip('bothSides'),
  },
  { icon: 'copy', label: 'Duplicate', command: 'duplicate', act: duplicate },
  {
    icon: 'clipboard',
    label: 'Copy',
    command: 'copy',
    act: () => void copyChosen(false),
    testID: 'act-copy',
  },
  {
    icon: 'scissors',
    label: 'Cut',
    command: 'cut',
    act: () => void copyChosen(true),
    testID: 'act-cut',
  },
  {
    icon: 'plus-square',
    label: 'In hand',
    command: 'take.like',
    act: buildCommands.takeLike,
    testID: 'act-in-hand',
  },
  {
    icon: 'layers',
    label: 'Drag copy',
    command: 'drag.copy',
    on: ({ dragCopies }) => dragCopies,
    act: flip('dragCopies'),
    testID: 'act-drag-copy',
  },
  {
    icon: 'copy',
    label: 'In place',
    command: 'duplicate.here',
    act: buildCommands.duplicateHere,
    testID: 'act-in-place',
  },
  {
    icon: 'align-center',
    label: 'Line up',
    command: 'align',
    act: open('align'),
    testID: 'act-align',
  },
  { icon: 'grid', label: 'Copies', command: 'copies', act: open('copies'), testID: 'act-copies' },
  { icon: 'shuffle', label: 'Swap', command: 'swap', act: open('swap'), testID: 'act-swap' },
  {
    icon: 'plus-circle',
    label: 'Add more',
    command: 'choose.add',
    on: ({ adding }) => adding,
    act: flip('adding'),
    testID: 'act-add',
  },
  { icon: 'link', label: 'Group', command: 'group', act: buildCommands.group },
  {
    icon: 'maximize-2',
    label: 'Ungroup',
    command: 'ungroup',
    when: ({ grouped }) => grouped,
    act: buildCommands.ungroup,
  },
  { icon: 'download', label: 'Drop', command: 'drop', act: buildCommands.drop },
  { icon: 'trending-up', label: 'On slope', command: 'lie', act: buildCommands.lieAlong },
  {
    icon: 'arrow-down-circle',
    label: 'Sink',
    command: 'sink',
    act: () => buildCommands.sink(0.1),
  },
  {
    icon: 'corner-down-right',
    label: 'Corner',
    command: 'corner',
    act: () => useLay.getState().lineUpCorner(null),
    testID: 'act-corner',
  },
  { icon: 'triangle', label: 'Ramp', command: 'ramp', act: buildCommands.ramp, testID: 'act-ramp' },
  { icon: 'repeat', label: 'Flip', command: 'flip', act: buildCommands.flip },
  { icon: 'eye-off', label: 'Hide', command: 'hide', act: buildCommands.hide },
  { icon: 'lock', label: 'Lock', command: 'lock', act: buildCommands.lock },
  { icon: 'archive', label: 'Keep', command: 'kit.keep', act: open('kit') },
];
