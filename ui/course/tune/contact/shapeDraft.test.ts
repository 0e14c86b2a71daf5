import type { DrawnShape } from '@/core/course';
import { beginDraft, draftStep, type DraftEvent, type ShapeDraft } from './shapeDraft';

const TWO: DrawnShape = {
  size: [1, 1, 1],
  parts: [
    {
      kind: 'outline',
      points: [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ],
    },
    { kind: 'ball', at: [0.5, 0.5, 0], radius: 0.3 },
  ],
} as DrawnShape;

const after = (events: readonly DraftEvent[], draft: ShapeDraft = beginDraft(TWO)): ShapeDraft =>
  events.reduce(draftStep, draft);
const pointOf = ({ shape }: ShapeDraft, part: number, point: number) => {
  const one = shape.parts[part];
  return one.kind === 'outline' ? one.points[point] : null;
};

test('a drag moves the point that was taken, and all of it is one step', () => {
  const drawn = after([
    { do: 'take', held: { part: 0, point: 2 } },
    { do: 'drag', to: [1.2, 1] },
    { do: 'drag', to: [1.4, 1.1] },
  ]);
  expect(pointOf(drawn, 0, 2)).toEqual([1.4, 1.1]);
  expect(drawn.past).toEqual([TWO]);
  expect(draftStep(drawn, { do: 'undo' }).shape).toEqual(TWO);
});

test('a knob that is touched and not dragged is held, and there is nothing to undo', () => {
  const touched = after([{ do: 'take', held: { part: 0, point: 1 } }]);
  expect(touched.held).toEqual({ part: 0, point: 1 });
  expect(touched.past).toEqual([]);
});

test('two drags are two steps', () => {
  const drawn = after([
    { do: 'take', held: { part: 0, point: 0 } },
    { do: 'drag', to: [-0.1, 0] },
    { do: 'take', held: { part: 0, point: 1 } },
    { do: 'drag', to: [1.1, 0] },
  ]);
  expect(drawn.past).toHaveLength(2);
  const back = draftStep(drawn, { do: 'undo' });
  expect(pointOf(back, 0, 0)).toEqual([-0.1, 0]);
  expect(pointOf(back, 0, 1)).toEqual([1, 0]);
});

test('where the held part goes, another is held', () => {
  const one = { ...TWO, parts: TWO.parts.slice(0, 1) };
  const gone = after([
    { do: 'hold', held: { part: 1, point: -1 } },
    { do: 'change', shape: one },
  ]);
  expect(gone.held).toEqual({ part: 0, point: -1 });
});

test('undoing a part that was added does not leave it held', () => {
  const three = { ...TWO, parts: [...TWO.parts, TWO.parts[1]] };
  const added = after([{ do: 'change', shape: three, held: { part: 2, point: -1 } }]);
  expect(added.held.part).toBe(2);
  expect(draftStep(added, { do: 'undo' }).held.part).toBe(1);
});

test('undoing the splitting of an edge lets go of the point that is no more', () => {
  const outline = TWO.parts[0] as Extract<DrawnShape['parts'][number], { kind: 'outline' }>;
  const split = { ...outline, points: [...outline.points, [0, 0.5] as [number, number]] };
  const drawn = after([
    { do: 'change', shape: { ...TWO, parts: [split, TWO.parts[1]] } },
    { do: 'hold', held: { part: 0, point: 4 } },
    { do: 'undo' },
  ]);
  expect(drawn.held).toEqual({ part: 0, point: -1 });
});

test('with nothing to undo, undoing changes nothing', () => {
  const draft = beginDraft(TWO);
  expect(draftStep(draft, { do: 'undo' })).toBe(draft);
});
