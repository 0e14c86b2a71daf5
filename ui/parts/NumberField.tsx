import { useCallback, useEffect, useRef, useState } from 'react';
import { TextInput, View } from 'react-native';
import { parseExpression } from '@/core/edit';
import { RADIUS, SPACE, TARGET, TYPE, useColours } from '../theme';
import { focusRing, NO_OUTLINE } from './focus';
import { shortNumber } from './format';
import { IconButton } from './IconButton';
import { Text } from './Text';

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
export function NumberField({
  label,
  value,
  unit,
  step,
  onChange,
  mixed,
  onStep,
  subject,
  testID,
}: NumberFieldProps) {
  const colours = useColours();
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [tight, setTight] = useState(false);
  const [focused, setFocused] = useState(false);
  const [whose, setWhose] = useState(subject);
  if (whose !== subject) {
    setWhose(subject);
    setTyped(null);
    setError(null);
  }

  const take = (set: () => void) => {
    try {
      set();
      setError(null);
      setTyped(null);
    } catch (problem) {
      if (!(problem instanceof RangeError)) throw problem;
      setError(problem.message);
    }
  };
  const finish = () => {
    if (typed === null) return;
    // What was only looked at is not set for all.
    if (mixed && typed === '') setTyped(null);
    else take(() => onChange(parseExpression(typed)));
  };
  const stepBy = (by: number) => take(() => (onStep ? onStep(by) : onChange(value + by)));
  // The two buttons stay as they are whatever the value is.
  const latest = useRef(stepBy);
  useEffect(() => {
    latest.current = stepBy;
  });
  const less = useCallback(() => latest.current(-step), [step]);
  const more = useCallback(() => latest.current(step), [step]);

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
        <IconButton icon="minus" label={`${label} less`} onPress={less} />
        <View
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            ...(tight ? { flex: 1 } : { width: 104 }),
            height: TARGET,
            borderWidth: 1,
            borderRadius: RADIUS.s,
            borderColor: error ? colours.rust : colours.line,
            backgroundColor: colours.card,
            paddingHorizontal: SPACE.s,
            ...focusRing(focused, colours.moss),
          }}
        >
          <TextInput
            value={typed ?? (mixed ? '' : shortNumber(value))}
            placeholder={mixed ? 'mixed' : undefined}
            placeholderTextColor={colours.slate}
            onChangeText={(text) => {
              setTyped(text);
              setError(null);
            }}
            onFocus={() => setFocused(true)}
            onBlur={() => {
              setFocused(false);
              finish();
            }}
            onSubmitEditing={finish}
            inputMode="text"
            selectTextOnFocus
            accessibilityLabel={label}
            testID={testID}
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
        <IconButton icon="plus" label={`${label} more`} onPress={more} />
      </View>
      {error && (
        <Text as="small" tint="rust" accessibilityRole="alert" style={{ paddingBottom: SPACE.xs }}>
          {error}
        </Text>
      )}
    </View>
  );
}
