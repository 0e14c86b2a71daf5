import { choiceAfterTouch } from './touch';

jest.mock('../../../scene', () => ({
  ...jest.requireActual('../../../scene/view'),
  ...jest.requireActual('../../../scene/glide'),
}));
jest.mock('../../../parts', () => jest.requireActual<object>('../../../parts/format'));

const set = (...ids: string[]) => new Set(ids);

test.each([
  ['nothing touched lets all go', set('a', 'b'), null, set(), false, []],
  ['nothing touched while adding keeps all', set('a', 'b'), null, set(), true, ['a', 'b']],
  ['one touched is chosen alone', set('a'), 'b', set('b'), false, ['b']],
  ['one touched comes with its group', set(), 'b', set('b', 'c'), false, ['b', 'c']],
  ['one is added with its group', set('a'), 'b', set('b', 'c'), true, ['a', 'b', 'c']],
  ['a chosen one leaves with its group', set('a', 'b', 'c'), 'b', set('b', 'c'), true, ['a']],
])('%s', (_, choice, touched, ids, adds, after) => {
  expect(choiceAfterTouch(choice, touched, ids, adds)).toEqual(after);
});
