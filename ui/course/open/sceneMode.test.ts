import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { buildCommands } from './chosenEdits';
import { useLay } from './laying';
import { endSceneMode, sceneModeOf, touchBeside } from './sceneMode';
import { useTune } from './tuneStore';

jest.mock('../../scene', () => ({
  ...jest.requireActual('../../scene/view'),
  ...jest.requireActual('../../scene/glide'),
}));
jest.mock('../../parts', () => ({
  ...jest.requireActual<object>('../../parts/format'),
  showToast: jest.fn(() => () => {}),
}));

const mode = () => sceneModeOf(useTune.getState(), useLay.getState());

beforeEach(() => {
  useLay.setState(useLay.getInitialState());
  useTune.setState(useTune.getInitialState());
  const course = layPieces(emptyCourse('Modes', 'free'), [
    { family: 'crate', at: [0, 0, 0] },
    { family: 'crate', at: [3, 0, 0] },
  ]);
  useCourse.getState().open('a', 1, course, { kind: 'saved', at: 0 });
  useCourse.getState().choose(['p1']);
});

/** Each mode: how it begins, what its line says, and if a touch beside everything and another choice end it. */
const MODES: [string, () => void, RegExp, { beside: boolean; choice: boolean }][] = [
  [
    'picking',
    () => useTune.getState().set({ picking: { words: 'Touch the gate', take: () => {} } }),
    /^Touch the gate$/,
    { beside: true, choice: true },
  ],
  [
    'drawing a path',
    () => useTune.getState().set({ drawingPath: true }),
    /adds a point/,
    { beside: false, choice: true },
  ],
  [
    'taking a pose',
    () => useTune.getState().set({ posing: 0 }),
    /pose/,
    { beside: true, choice: true },
  ],
  [
    'corner onto corner',
    () => useLay.getState().lineUpCorner(null),
    /corner of the chosen/,
    { beside: true, choice: true },
  ],
  [
    'the second corner',
    () => useLay.getState().lineUpCorner([0, 0, 0]),
    /corner to go to/,
    { beside: true, choice: true },
  ],
  [
    'adding to the choice',
    () => useLay.getState().toggleChoosing('adding'),
    /adds a piece/,
    { beside: true, choice: false },
  ],
  [
    'dragging copies',
    () => useLay.getState().toggleChoosing('dragCopies'),
    /moves a copy/,
    { beside: true, choice: false },
  ],
  [
    'taking up paint',
    () => {
      useLay.getState().pickTool('paint');
      useLay.getState().togglePicking();
    },
    /paint/,
    { beside: false, choice: false },
  ],
];

test('without a mode nothing is said and nothing ends', () => {
  expect([mode(), touchBeside(), endSceneMode()]).toEqual([null, false, false]);
});

test.each(MODES)('%s is told, and Escape ends it and nothing else', (_, begin, words) => {
  begin();
  expect(mode()?.words).toMatch(words);
  buildCommands.done();
  expect(mode()).toBeNull();
  expect(useCourse.getState().choice.size).toBe(1);
  buildCommands.done();
  expect(useCourse.getState().choice.size).toBe(0);
});

test.each(MODES)('%s ends by a touch beside everything where that is its way out', (...row) => {
  const [, begin, , { beside }] = row;
  begin();
  expect(touchBeside()).toBe(beside);
  expect(mode() === null).toBe(beside);
});

test.each(MODES)('%s: another choice ends what was begun for this one', (...row) => {
  const [, begin, , { choice }] = row;
  begin();
  useCourse.getState().choose(['p1']);
  expect(mode()).not.toBeNull();
  useCourse.getState().choose(['p2']);
  expect(mode() === null).toBe(choice);
});
