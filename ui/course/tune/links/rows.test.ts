import { newCue, newEffect } from '@/core/edit';
import { CUE_TRAITS, CUES, EFFECTS, EFFECT_TRAITS, type Link } from '@/core/course';
import { CUE_ROWS } from './cueRows';
import { EFFECT_ROWS } from './effectRows';
import { linkWords } from './linkWords';

const PIECES = [
  { id: 'p1', family: 'crate', at: [0, 0, 0] as [number, number, number], name: 'Old crate' },
  { id: 'p2', family: 'gate', at: [0, 0, 0] as [number, number, number] },
];
const words = (link: Pick<Link, 'cue' | 'effects'>) =>
  linkWords({ id: 'l1', ...link } as Link, PIECES as never);

test.each(CUES)('the cue %s is said in whole words', (kind) => {
  const said = words({ cue: newCue(kind, ['p1']), effects: [newEffect('win')] });
  expect(said).toMatch(/^[A-Z\d].*: win$/);
  expect(said).not.toMatch(/undefined|NaN|p1/);
  if (CUE_TRAITS[kind].ofPieces) expect(said).toContain('Old crate');
});

test.each(EFFECTS)('the effect %s is said in whole words, and its figures have names', (kind) => {
  const said = words({ cue: { kind: 'start' }, effects: [newEffect(kind, ['p1'])] });
  expect(said).toMatch(/^Run started: \S/);
  expect(said).not.toMatch(/undefined|NaN|p1/);
  const { onPieces, initial = {} } = EFFECT_TRAITS[kind];
  if (onPieces) expect(said).toContain('Old crate');
  // Whatever it has a figure of has a name to be shown by.
  if (initial.value !== undefined) expect(EFFECT_ROWS[kind].value?.label).toBeTruthy();
  if (initial.text !== undefined) expect(EFFECT_ROWS[kind].own).toBe('words');
  if (initial.sound !== undefined) expect(EFFECT_ROWS[kind].own).toBe('sound');
  if (initial.by !== undefined) expect(EFFECT_ROWS[kind].own).toBe('speed');
});

test('no two cues and no two effects are called alike', () => {
  const cues = CUES.map((kind) => CUE_ROWS[kind].label);
  const effects = EFFECTS.map((kind) => EFFECT_ROWS[kind].label);
  expect(new Set(cues).size).toBe(cues.length);
  expect(new Set(effects).size).toBe(effects.length);
});

test.each<[Partial<Link['cue']> & { kind: Link['cue']['kind'] }, string]>([
  [{ kind: 'touched', pieces: ['p1', 'p2'], all: true }, 'All of Old crate and 1 more touched'],
  [{ kind: 'touched', pieces: ['p1', 'p2'] }, 'Old crate and 1 more touched'],
  [{ kind: 'stood', pieces: ['p1'], seconds: 2 }, 'Old crate stood in for 2 s'],
  [{ kind: 'checkpoint' }, 'Any checkpoint reached'],
  [{ kind: 'checkpoint', pieces: ['p9'] }, 'Something gone reached'],
  [{ kind: 'beat', count: 1 }, 'Every beat'],
  [{ kind: 'beat', count: 3 }, 'Every 3 beats'],
  [{ kind: 'timer', seconds: 4 }, 'Every 4 s'],
  [{ kind: 'fallen', count: 1 }, 'Fallen once'],
  [{ kind: 'fallen', count: 2 }, 'Fallen 2 times'],
  [{ kind: 'time-left' }, '10 s left'],
])('%j is “%s”', (cue, said) => {
  expect(words({ cue: cue as Link['cue'], effects: [newEffect('back')] })).toBe(
    `${said}: back to the checkpoint`,
  );
});

test('several effects are said in their order, a message with its words', () => {
  const effects = [newEffect('open', ['p2']), { ...newEffect('message'), text: 'Go' }];
  expect(words({ cue: { kind: 'start' }, effects })).toBe('Run started: open Gate, message “Go”');
});
