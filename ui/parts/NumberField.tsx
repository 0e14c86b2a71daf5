import { useState } from 'react';
import { TextInput, View, type TextInputProps } from 'react-native';
import { RADIUS, SPACE, TARGET, TYPE, useColours } from '../theme';
import { focusRing, NO_OUTLINE } from './focus';
import { shortNumber } from './format';
import { IconButton } from './IconButton';
import { Text } from './Text';
import { useHeld } from './useHeld';
import { useNumberEntry } from './useNumberEntry';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly unit: string;
  readonly step: number;
  /** Takes the value or throws a RangeError in words. */
  readonly onChange: (value: number) => void;
  /** Several values at once: none is shown, and one that is typed is set for all. */
  readonly mixed?: boolean;
  /** Steps the value, or each of several, from where it stands; as with `onChange`. */
  readonly onStep?: (by: number) => void;
  /** Whose value it is: what was typed, and what was wrong with it, goes when it is another's. */
  readonly subject?: string;
  readonly testID?: string;
}

/** Width below which a label stands above its field, so that none is cut, points. */
const ROOMY = 320;

/** A number with its unit, a step down and a step up, and a field to type it in. */
export function NumberField(props: NumberFieldProps) {
  const { label, value, unit, mixed, testID } = props;
  const [tight, setTight] = useState(false);
  const { typed, error, type, finish, less, more } = useNumberEntry(props);
  const down = useHeld(less);
  const up = useHeld(more);
  return (
    <View onLayout={({ nativeEvent }) => setTight(nativeEvent.layout.width < ROOMY)}>
      {tight && (
        <Text as="small" style={{ marginTop: SPACE.s }}>
          {label}
        </Text>
      )}
      <View style={{ flexDirection: 'row', alignItems: 'center', minHeight: TARGET + 4 }}>
        {!tight && (
          <Text as="text" style={{ flex: 1 }}>
            {label}
          </Text>
        )}
        <IconButton icon="minus" label={`${label} less`} {...down} />
        <Entry
          value={typed ?? (mixed ? '' : shortNumber(value))}
          placeholder={mixed ? 'mixed' : undefined}
          onChangeText={type}
          onSubmitEditing={finish}
          onBlur={finish}
          accessibilityLabel={label}
          testID={testID}
          unit={unit}
          wrong={error !== null}
          wide={tight}
        />
        <IconButton icon="plus" label={`${label} more`} {...up} />
      </View>
      {error && (
        <Text as="small" tint="rust" accessibilityRole="alert" style={{ paddingBottom: SPACE.xs }}>
          {error}
        </Text>
      )}
    </View>
  );
}

interface EntryProps extends Omit<TextInputProps, 'onBlur'> {
  readonly unit: string;
  readonly wrong: boolean;
  /** As wide as there is room for. */
  readonly wide: boolean;
  readonly onBlur: () => void;
}

/** The field itself, its unit within the frame. */
function Entry({ unit, wrong, wide, onBlur, ...input }: EntryProps) {
  const colours = useColours();
  const [focused, setFocused] = useState(false);
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        ...(wide ? { flex: 1 } : { width: 104 }),
        height: TARGET,
        borderWidth: 1,
        borderRadius: RADIUS.s,
        borderColor: wrong ? colours.rust : colours.line,
        backgroundColor: colours.card,
        paddingHorizontal: SPACE.s,
        ...focusRing(focused, colours.moss),
      }}
    >
      <TextInput
        {...input}
        placeholderTextColor={colours.slate}
        onFocus={() => setFocused(true)}
        onBlur={() => {
          setFocused(false);
          onBlur();
        }}
        inputMode="text"
        selectTextOnFocus
        style={[
          TYPE.figures,
          NO_OUTLINE,
          { flex: 1, minWidth: 0, color: colours.ink, textAlign: 'right' },
        ]}
      />
      <Text as="smallFigures" tint="slate" style={{ marginLeft: 4, minWidth: unit ? 14 : 0 }}>
        {unit}
      </Text>
    </View>
  );
}
