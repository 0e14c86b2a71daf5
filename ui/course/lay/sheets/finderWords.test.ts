import { found } from '../../commands/find';
import { finderEntries } from './FinderSheet';

jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../../scene', () => ({
  ...jest.requireActual('../../../scene/view'),
  ...jest.requireActual('../../../scene/glide'),
}));

const navigation = { to: jest.fn(), help: jest.fn(), times: jest.fn(), runHere: jest.fn() };
const entries = finderEntries(navigation);
const first = (query: string, count = 1) =>
  found(entries, query)
    .slice(0, count)
    .map(({ key }) => key);

/** Words makers search by, each with what has to come first. */
const FIRST: Readonly<Record<string, string>> = {};

test.each(Object.entries(FIRST))('"%s" finds %s first', (query, key) => {
  expect(first(query)).toEqual([key]);
});
