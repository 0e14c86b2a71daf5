import { CUE_TRAITS, EFFECT_TRAITS, emptyCourse, type Cue, type Effect } from '../course';
import { layPieces } from '../edit';
import type * as Geometry from '../geometry';
import type * as Families from '../pieces/families';
import { FIELD_KINDS, fieldArrows, isForce, placedField, type Family, type Field } from '../pieces';
import { fieldBeside } from '../pieces/fields';
import { FIELD_EFFECTS } from './contact/fields';
import { NO_INPUT } from '.';
import { APPLY_EFFECT, type EffectContext } from './rules/links/effects';
import { IS_GIVEN } from './rules/links/cues';
import { FieldIndex } from './state';
import { courseOf, floor, right, Trial } from './testing';

// One of each kind of thing, added as docs/architecture.md says and by nothing else: by rows of the tables.

jest.mock('../pieces/families', () => {
  const families = jest.requireActual<typeof Families>('../pieces/families');
  const { box } = jest.requireActual<typeof Geometry>('../geometry');
  const trial: Family = {
    ...{ id: 'trial-lift', label: 'Trial lift', group: 'regions', words: 'trial' },
    ...{ material: 'slate', size: [4, 3, 4], sizable: true, params: [] },
    build: ({ size: [w, h, d] }) => ({
      ...{ parts: [], sockets: [] },
      shapes: [
        {
          role: 'region',
          form: { kind: 'hull', solid: box([-w / 2, 0, -d / 2], [w / 2, h, d / 2]) },
          field: { kind: 'trial', lift: 30 } as unknown as Field,
        },
      ],
    }),
  };
  return { ...families, REGIONS: [...families.REGIONS, trial] };
});

/** A table that a kind is added to by its name. */
const rows = <T>(table: T) => table as Record<string, unknown>;

interface TrialField {
  readonly kind: 'trial';
  readonly lift: number;
}

rows(FIELD_KINDS).trial = {
  isForce: true,
  placed: (field: TrialField) => ({ ...field, lift: field.lift + 1 }),
  mirrored: (field: TrialField) => ({ ...field, lift: -field.lift }),
  arrows: (_: TrialField, middle: unknown) => [[middle, middle]],
  beside: () => 'adds',
};
rows(FIELD_EFFECTS).trial = (
  _w: unknown,
  _s: unknown,
  _c: unknown,
  { lift }: TrialField,
  { field }: { field: Float64Array },
) => {
  field[FieldIndex.pushY] += lift;
  return null;
};
rows(CUE_TRAITS).trial = { noticed: 'clock', count: 7 };
rows(IS_GIVEN).trial = (_: unknown, s: { tick: number }, { link }: { link: { cue: Cue } }) =>
  s.tick === link.cue.count;
rows(EFFECT_TRAITS).trial = { initial: { value: 3 } };
rows(APPLY_EFFECT).trial = ({ s }: EffectContext, { value = 0 }: Effect) => {
  s.vx += value;
};

test('a family with a field of a new kind is laid, mirrored and felt in a run', () => {
  const run = (flip: boolean) => {
    const lift = { family: 'trial-lift', at: [6, 0, 0] as [number, number, number] };
    const course = courseOf(floor(-4, 12), { ...lift, ...(flip ? { flip } : {}) });
    return new Trial(course).go(right, 400, ({ y }) => y > 1).state;
  };
  const lifted = run(false);
  expect(lifted.y).toBeGreaterThan(1);
  expect(lifted.x).toBeGreaterThan(3.5);
  expect(lifted.x).toBeLessThan(8);
  // Its mirror image presses down.
  expect(run(true).y).toBeLessThan(0.1);
});

test('all that is asked of a field comes from its row', () => {
  const field = { kind: 'trial', lift: 2 } as unknown as Field;
  expect(isForce(field)).toBe(true);
  expect(placedField(field, [1, 0, 0, 0, 1, 0, 0, 0, 1], (p) => p)).toMatchObject({ lift: 3 });
  expect(fieldArrows(field, [1, 2, 3], 1)).toHaveLength(1);
  expect(fieldBeside(field, field, 1, 1)).toBe('adds');
});

test('a link with a cue and an effect of new kinds acts by their rows', () => {
  const course = layPieces(emptyCourse('Trial'), [
    { family: 'start', at: [0, 0, 0] },
    floor(-4, 12),
  ]);
  const links = [
    {
      id: 'l1',
      cue: { kind: 'trial', count: 7 } as unknown as Cue,
      effects: [{ kind: 'trial', value: 3 } as unknown as Effect],
    },
  ];
  const trial = new Trial({ ...course, links }).go(NO_INPUT, 6);
  expect(trial.state.vx).toBe(0);
  expect(trial.go(NO_INPUT, 1).state.vx).toBeGreaterThan(2);
});
