import { Pressable, View } from 'react-native';
import { RADIUS, SPACE, TARGET, useColours } from '../theme';
import { Words } from './Words';

interface ChoicesProps<T extends string> {
  readonly label?: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
}

/** One of a few: buttons side by side, the chosen one filled and outlined. */
export function Choices<T extends string>({ label, value, options, onChange }: ChoicesProps<T>) {
  const colours = useColours();
  return (
    <View style={{ gap: SPACE.xs }}>
      {label && <Words as="smallStrong">{label}</Words>}
      <View
        accessibilityRole="radiogroup"
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}
      >
        {options.map((option) => {
          const on = option.value === value;
          return (
            <Pressable
              key={option.value}
              accessibilityRole="radio"
              accessibilityState={{ checked: on }}
              accessibilityLabel={option.label}
              onPress={() => onChange(option.value)}
              style={{
                minHeight: TARGET,
                paddingHorizontal: SPACE.l,
                justifyContent: 'center',
                borderRadius: RADIUS.l * 2,
                borderWidth: on ? 2 : 1,
                borderColor: on ? colours.moss : colours.line,
                backgroundColor: on ? colours.mossSoft : colours.card,
              }}
            >
              <Words as={on ? 'smallStrong' : 'small'}>{option.label}</Words>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
