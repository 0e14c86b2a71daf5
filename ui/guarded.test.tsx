import { fireEvent, render, screen } from '@testing-library/react-native';
import { Text } from 'react-native';
import { Guarded } from './Guarded';

jest.mock('@expo/vector-icons/Feather', () => () => null);
let mockPath = '/course/a';
jest.mock('expo-router', () => ({ usePathname: () => mockPath }));

let breaks = true;
function Page() {
  if (breaks) throw new Error('Out of rope.');
  return <Text>Here it is</Text>;
}
const page = () => (
  <Guarded>
    <Page />
  </Guarded>
);

beforeEach(() => {
  breaks = true;
  jest.spyOn(console, 'error').mockImplementation(() => {});
});

test('a page that breaks says so, and is opened again', () => {
  render(page());
  expect(screen.getByText('This page broke')).toBeTruthy();
  expect(screen.getByText(/Out of rope\./)).toBeTruthy();
  fireEvent.press(screen.getByText('Open it again'));
  expect(screen.getByText('This page broke')).toBeTruthy();
  breaks = false;
  fireEvent.press(screen.getByText('Open it again'));
  expect(screen.getByText('Here it is')).toBeTruthy();
});

test('another page is drawn as ever', () => {
  render(page());
  expect(screen.getByText('This page broke')).toBeTruthy();
  breaks = false;
  mockPath = '/explore';
  screen.rerender(page());
  expect(screen.getByText('Here it is')).toBeTruthy();
});
