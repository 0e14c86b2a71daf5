/** @jest-environment jsdom */
import { endIndex, layPieces } from '@/core/edit';
import { familyOf } from '@/core/pieces';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';
import { landInHand } from '../../tools/landing';
import { layAt, pieceTool } from '../../tools/pieces';
import { beginTrial, course, lay, tap } from '../../tools/toolTrial.testing';
import { takeFamily } from './families';

jest.mock('../../../scene', () => ({
  ...jest.requireActual('../../../scene/view'),
  ...jest.requireActual('../../../scene/glide'),
}));
jest.mock('../../../parts', () => ({
  ...jest.requireActual<object>('../../../parts/format'),
  showToast: jest.fn(() => () => {}),
}));

beforeEach(beginTrial);

test.each(['above', 'free', 'side'] as const)(
  'seen from %s, what is taken after an open end was touched waits on it, and the next does not',
  (mode) => {
    useView.getState().look({ mode, pitch: mode === 'side' ? 9 : 60, target: [2, 3, 0] });
    useCourse.getState().edit((now) =>
      layPieces(now, [
        { family: 'straight', at: [0, 3, 0] },
        { family: 'straight', at: [0, -3, 9] },
      ]),
    );
    const { at: end } = endIndex(course())
      .open('track')
      .find(({ at }) => at[0] > 1 && at[2] === 0)!;
    const tool = pieceTool();
    tap(tool, [...end]);
    expect(lay().touchedEnd).toEqual(end);
    for (const family of ['bend', 'straight']) {
      takeFamily(familyOf(family));
      const { piece, took, mark } = landInHand(
        course(),
        useCourse.getState().inHand!,
        lay().ghostAt!,
      );
      expect([took, mark]).toEqual(['end', end]);
      expect(piece.at).not.toEqual([0, 0, 0]);
    }
    layAt(lay().ghostAt);
    expect(course().pieces).toHaveLength(3);
    expect(
      endIndex(course())
        .open('track')
        .map(({ at }) => at),
    ).not.toContainEqual(end);
    expect(lay().touchedEnd).toBeNull();
    takeFamily(familyOf('crate'));
    expect(lay().ghostAt).toBeNull();
    useCourse.getState().take(null);
  },
);

test('an end that was touched and is joined meanwhile holds nothing', () => {
  useCourse.getState().edit((now) => layPieces(now, [{ family: 'straight', at: [0, 0, 0] }]));
  const [{ at: end }] = endIndex(course()).open('track');
  useLay.getState().touchEnd(end);
  useCourse.getState().undo();
  // Its ring is gone from the scene as well.
  expect(lay().touchedEnd).toBeNull();
  takeFamily(familyOf('bend'));
  expect(lay().ghostAt).toBeNull();
  useCourse.getState().take(null);
  useLay.getState().touchEnd(null);
});
