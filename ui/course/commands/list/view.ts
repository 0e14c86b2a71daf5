import { GRID_STEPS } from '@/core/edit';
import { glideTo, VIEW_MODES } from '../../../scene';
import { lookAtChoice } from '../../open/chosenEdits';
import { planeNow } from '../../tools/landing';
import { useOpen } from '../../open/openStore';
import { type Command, course, lay, view, cycle } from './command';

export const viewCommands = {
  nextView: () => view().setMode(cycle(VIEW_MODES, view().mode)),
  nextStep: () => {
    const step = cycle(GRID_STEPS, lay().steps[0] as (typeof GRID_STEPS)[number]);
    lay().setSteps([step, step, step]);
  },
  movePlane: (ways: 1 | -1) => {
    const now = lay();
    const { axis } = planeNow();
    const by = ways * (now.steps[axis === 'z' ? 2 : 1] || 0.25);
    now.moveWorkPlane(axis === 'z' ? { depth: now.depth + by } : { level: now.level + by });
  },
  fit: () => view().fit(course().course),
  /** Goes round to the other side of what is looked at. */
  farSide: () => {
    const { yaw, pitch, mode } = view();
    glideTo({ mode: 'free', yaw: yaw + 180, pitch: mode === 'above' ? 45 : pitch }, 500);
  },
  fromEnd: () => view().look({ mode: 'free', yaw: -90, pitch: 6 }),
};

/** How the course is looked at. */
export const VIEW: readonly Command[] = [
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
  {
    id: 'view.end',
    label: 'From the end',
    group: 'View',
    keys: 'Shift+3',
    run: viewCommands.fromEnd,
  },
  {
    id: 'view.far',
    label: 'From the far side',
    group: 'View',
    keys: 'Shift+6',
    run: viewCommands.farSide,
  },
  {
    id: 'view.more',
    label: 'Look and find: kept views and more',
    group: 'View',
    keys: 'Shift+V',
    run: () => useOpen.getState().open('look'),
  },
  {
    id: 'view.flypad',
    label: 'Flying pad',
    group: 'View',
    run: () => lay().toggleFlying(),
  },
  {
    id: 'view.hidden',
    label: 'List of what is hidden and locked',
    group: 'View',
    run: () => useOpen.getState().open('hidden'),
  },
  {
    id: 'view.pieces',
    label: 'List of all pieces',
    group: 'View',
    keys: 'Shift+K',
    run: () => useOpen.getState().open('pieces'),
  },
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
];
