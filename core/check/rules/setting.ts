import { type Param, findFamily, takesValue } from '../../pieces';
import { type Check, type CheckRule, type Finding, pieceFinding } from '../finding';

function rangeWords(param: Param): string {
  switch (param.kind) {
    case 'number':
      return `goes from ${param.min} to ${param.max}`;
    case 'choice':
      return `is one of ${param.options.map(({ value }) => value).join(', ')}`;
    case 'several':
      return `goes from 0 to ${(1 << param.options.length) - 1}, a bit for each of ${param.options.join(', ')}`;
    case 'text':
      return 'is words';
  }
}

const settings: Check<'setting'> = ({ pieces }) =>
  pieces.flatMap((piece) => {
    const family = findFamily(piece.family)!;
    return Object.entries(piece.params ?? {}).flatMap(([key, value]): Finding<'setting'>[] => {
      const param = family.params.find((p) => p.key === key);
      if (param && takesValue(param, value)) return [];
      const range = param ? rangeWords(param) : 'is unknown';
      return [
        pieceFinding(
          piece,
          'setting',
          'error',
          `${family.label}: ${param?.label ?? key} ${range}.`,
        ),
      ];
    });
  });

export const settingRule: CheckRule<'setting'> = { id: 'setting', check: settings };
