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

/** How wide the track is, how near to the line it keeps, and how it bends. */
export function FitWishes({ value, onChange }: WishesProps) {
  const change = (part: Partial<Wishes>) => onChange({ ...value, ...part });
  return (
    <>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Stepper
          label="Track width"
          value={value.width}
          unit="m"
          step={0.5}
          min={1}
          max={8}
          onChange={(width) => change({ width })}
        />
        <Stepper
          label="Keep within"
          value={value.tolerance}
          unit="m"
          step={0.25}
          min={0.25}
          max={4}
          onChange={(tolerance) => change({ tolerance })}
        />
        <Stepper
          label="Tightest bend"
          value={value.tightest}
          unit="m"
          step={1}
          min={3}
          max={20}
          onChange={(tightest) => change({ tightest })}
        />
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
