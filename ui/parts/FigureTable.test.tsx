import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { fireEvent, render, screen, within } from '@testing-library/react-native';
import { FigureTable } from './FigureTable';
import { Text } from './Text';

jest.mock('@expo/vector-icons/Feather', () => () => null);

interface Row {
  readonly name: string;
  readonly time: number;
}
const column = createColumnHelper<Row>();
const COLUMNS = [
  column.accessor('name', {
    header: 'Name',
    cell: ({ getValue }) => <Text>{getValue()}</Text>,
  }),
  column.accessor('time', {
    header: 'Time',
    meta: { width: 80, figures: true },
    cell: ({ getValue }) => <Text>{getValue()}</Text>,
  }),
] as ColumnDef<Row, unknown>[];
const ROWS: Row[] = [
  { name: 'Dock', time: 12 },
  { name: 'Kiln', time: 7 },
  { name: 'Arch', time: 31 },
];
const names = () =>
  screen
    .UNSAFE_getAllByProps({ role: 'row' })
    .filter((row) => typeof row.type === 'string')
    .map((row) => within(row).queryAllByText(/Dock|Kiln|Arch/)[0]?.props.children)
    .filter(Boolean);

test('rows stand as they are given, and without heads none can be sorted', () => {
  render(<FigureTable label="Splits" rows={ROWS} columns={COLUMNS} />);
  expect(names()).toEqual(['Dock', 'Kiln', 'Arch']);
  expect(screen.queryByText('Time')).toBeNull();
});

test('a press on a head sorts by its figures, one more the other way round', () => {
  render(<FigureTable label="Splits" rows={ROWS} columns={COLUMNS} heads />);
  fireEvent.press(screen.getByText(/^Time/));
  const first = names();
  fireEvent.press(screen.getByText(/^Time/));
  const second = names();
  expect([first, second]).toContainEqual(['Kiln', 'Dock', 'Arch']);
  expect([first, second]).toContainEqual(['Arch', 'Dock', 'Kiln']);
});
