import { setSymmetry } from '@/core/edit';
import { type Command, course, tool } from './command';

/** What the hand takes up. */
export const TOOLS: readonly Command[] = [
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
  { id: 'tool.erase', label: 'Erase', group: 'Tools', keys: 'Shift+Delete', run: tool('erase') },
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
