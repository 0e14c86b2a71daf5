import { View } from 'react-native';
import type { ShapePart } from '@/core/course';
import { Choices } from '../../../parts';
import { SPACE } from '../../../theme';
import { AllowanceFigures } from '../figures/AllowanceFigures';

/** How much larger a part is than drawn: as its piece is, or by a measure of its own. */
export function PartAllowance({
  part,
  onChange,
}: {
  part: ShapePart;
  onChange: (part: ShapePart) => void;
}) {
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label="Allowance of this part"
        value={part.allowance ? 'own' : 'piece'}
        options={[
          { value: 'piece', label: 'As the piece has' },
          { value: 'own', label: 'Its own' },
        ]}
        onChange={(next) => {
          const { allowance: _, ...rest } = part;
          onChange(
            next === 'own' ? { ...part, allowance: { by: 'cm', value: 0 } } : (rest as ShapePart),
          );
        }}
      />
      {part.allowance && (
        <AllowanceFigures
          value={part.allowance}
          testID="part-allowance"
          onChange={(allowance) => onChange({ ...part, allowance })}
        />
      )}
    </View>
  );
}
