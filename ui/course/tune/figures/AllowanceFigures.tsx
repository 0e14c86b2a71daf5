import type { Allowance } from '@/core/course';
import { Choices, NumberField } from '../../../parts';

interface AllowanceFiguresProps {
  readonly value: Allowance;
  readonly testID?: string;
  readonly onChange: (value: Allowance, merge?: string) => void;
}

/** By how much something is larger than it looks, on every side, and in which measure that is told. */
export function AllowanceFigures({ value, testID, onChange }: AllowanceFiguresProps) {
  return (
    <>
      <NumberField
        label="Larger on every side"
        unit={value.by === 'cm' ? 'cm' : '%'}
        step={1}
        value={value.value}
        testID={testID}
        onChange={(next) => onChange({ ...value, value: next }, 'allowance')}
      />
      <Choices
        value={value.by}
        options={[
          { value: 'cm', label: 'Centimetres' },
          { value: 'percent', label: 'Percent' },
        ]}
        onChange={(by) => onChange({ ...value, by })}
      />
    </>
  );
}
