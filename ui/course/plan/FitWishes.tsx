import { View } from 'react-native';
import type { FitWish } from '@/core/edit';
import { Choices, Stepper } from '../../parts';
import { SPACE } from '../../theme';

/** What is asked of the track that is searched for; lengths in metres. */
export type Wishes = Required<Pick<FitWish, 'width' | 'tolerance' | 'bends' | 'tightest'>>;

interface WishesProps {
  readonly value: Wishes;
  readonly onChange: (value: Wishes) => void;
}

const LENGTHS = [
  { key: 'width', label: 'Track width', step: 0.5, min: 1, max: 8 },
  { key: 'tolerance', label: 'Keep within', step: 0.25, min: 0.25, max: 4 },
  { key: 'tightest', label: 'Tightest bend', step: 1, min: 3, max: 20 },
] as const;

/** How wide the track is, how near to the line it keeps, and how it bends. */
export function FitWishes({ value, onChange }: WishesProps) {
  const change = (part: Partial<Wishes>) => onChange({ ...value, ...part });
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        {LENGTHS.map(({ key, ...length }) => (
          <Stepper
            key={key}
            {...length}
            unit="m"
            value={value[key]}
            onChange={(next) => change({ [key]: next })}
          />
        ))}
      </View>
      <Choices
        label="Bends"
        value={value.bends}
        options={[
          { value: 'bend', label: 'Flat' },
          { value: 'banked', label: 'Banked' },
        ]}
        onChange={(bends) => change({ bends })}
      />
    </>
  );
}
