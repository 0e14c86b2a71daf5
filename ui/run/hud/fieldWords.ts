import { FieldIndex, type RunState, type World } from '@/core/run';

/** What the regions about the runner do to it now, in words; most often nothing. */
export function fieldWords(
  { gravity }: Pick<World, 'gravity'>,
  { field, size }: RunState,
): string[] {
  const words: string[] = [];
  const push = Math.hypot(
    field[FieldIndex.pushX],
    field[FieldIndex.pushY],
    field[FieldIndex.pushZ],
  );
  if (field[FieldIndex.boost] > 0) words.push('Boost');
  if (push > 0.1) words.push(field[FieldIndex.pushY] > push * 0.7 ? 'Updraught' : 'Wind');
  if (field[FieldIndex.pace] < 0.99) words.push('Slow ground');
  if (field[FieldIndex.pace] > 1.01) words.push('Quick');
  if (field[FieldIndex.grip] < 0.99) words.push('Slippery');
  if (field[FieldIndex.bounce] > 0) words.push('Springy');
  const pull = Math.hypot(
    field[FieldIndex.gravityX],
    field[FieldIndex.gravityY],
    field[FieldIndex.gravityZ],
  );
  if (pull < gravity * 0.99) words.push('Light');
  else if (pull > gravity * 1.01) words.push('Heavy');
  if (pull > 0.1 && field[FieldIndex.gravityY] > -0.9 * pull) words.push('Pulled aside');
  if (size !== 0) words.push('Another size');
  return words;
}
