import type { Check, CheckRule } from '../finding';

const named: Check<'name'> = ({ name }) =>
  name.trim().length >= 3
    ? []
    : [{ rule: 'name', weight: 'error', message: 'The name needs at least three letters.' }];

export const nameRule: CheckRule<'name'> = { id: 'name', check: named };
