import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { FIRST_STOP } from '../device/oneStop';
import { Text, OneStop } from '../parts';
import { RADIUS, SPACE, useColours } from '../theme';

interface PictureChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly {
    readonly value: T;
    readonly label: string;
    readonly hint?: string;
  }[];
  readonly onChange: (value: T) => void;
  readonly picture: (value: T) => ReactNode;
  /** Least width of one, points. */
  readonly width: number;
}

/** One of a few, each shown by a picture. */
export function PictureChoice<T extends string>({
  label,
  value,
  options,
  onChange,
  picture,
  width,
}: PictureChoiceProps<T>) {
  const colours = useColours();
  return (
    <View style={{ gap: SPACE.xs }}>
      <Text as="smallStrong">{label}</Text>
      <OneStop
        as="radiogroup"
        name={label}
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}
      >
        {options.map((option) => {
          const on = option.value === value;
          return (
            <Pressable
              key={option.value}
              accessibilityRole="radio"
              aria-checked={on}
              {...(on ? FIRST_STOP : {})}
              onPress={() => onChange(option.value)}
              testID={`choose-${option.value}`}
              style={({ pressed }) => ({
                opacity: pressed ? 0.65 : 1,
                flexGrow: 1,
                flexBasis: width,
                borderRadius: RADIUS.m,
                borderWidth: on ? 3 : 1,
                padding: on ? 0 : 2,
                borderColor: on ? colours.moss : colours.line,
                overflow: 'hidden',
              })}
            >
              <View style={{ backgroundColor: colours.plate, alignItems: 'center' }}>
                {picture(option.value)}
              </View>
              <Text
                as={on ? 'smallStrong' : 'small'}
                centred
                style={{ paddingVertical: SPACE.xs, paddingHorizontal: 2 }}
              >
                {option.label}
              </Text>
            </Pressable>
          );
        })}
      </OneStop>
      {options.find((option) => option.value === value)?.hint && (
        <Text as="small" tint="slate">
          {options.find((option) => option.value === value)!.hint}
        </Text>
      )}
    </View>
  );
}
