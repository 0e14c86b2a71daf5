import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Button, Card, showToast, Text } from '../parts';
import { RUN_ACTS, runKeysOf, shownCode, useRunKeys, type RunAct } from '../run/controls/runKeys';
import { SPACE, TARGET, useColours } from '../theme';
import { KeyButton } from './KeyButton';

const ACT_WORDS: Readonly<Record<RunAct, string>> = {
  left: 'To the left, or steer',
  right: 'To the right, or steer',
  forward: 'Forwards, or drive',
  back: 'Back, or brake',
  button: 'The button: jump, hold back, drift',
  pause: 'Pause and go on',
  again: 'Start again',
  keep: 'Keep this moment, in your own course',
  leave: 'Back to building, from your own course',
};

/** The keys of runs; each is changed by pressing another. */
export function RunKeyTable() {
  const colours = useColours();
  const changed = useRunKeys((s) => s.changed);
  const [waiting, setWaiting] = useState<RunAct | null>(null);
  useEffect(() => {
    if (!waiting) return;
    const down = (event: KeyboardEvent) => {
      event.preventDefault();
      event.stopPropagation();
      setWaiting(null);
      if (event.key === 'Escape') return;
      const other = useRunKeys.getState().assign(waiting, event.code);
      if (other && other !== 'fixed') {
        showToast(
          `${shownCode(event.code)} is taken by “${ACT_WORDS[other]}”. Nothing was changed.`,
        );
      }
    };
    window.addEventListener('keydown', down, true);
    return () => window.removeEventListener('keydown', down, true);
  }, [waiting]);
  return (
    <View style={{ gap: SPACE.s }}>
      <Text as="heading">Running</Text>
      <Card style={{ paddingHorizontal: SPACE.m }}>
        {RUN_ACTS.map((act, i) => (
          <View
            key={act}
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              gap: SPACE.m,
              minHeight: TARGET + 6,
              borderTopWidth: i === 0 ? 0 : 1,
              borderColor: colours.line,
            }}
          >
            <KeyButton
              words={
                waiting === act
                  ? 'Press a key'
                  : runKeysOf(act, changed).map(shownCode).join(' or ')
              }
              does={ACT_WORDS[act]}
              waiting={waiting === act}
              onPress={() => setWaiting(waiting === act ? null : act)}
              testID={`run-key-${act}`}
            />
            <Text style={{ flex: 1 }}>{ACT_WORDS[act]}</Text>
          </View>
        ))}
      </Card>
      {Object.keys(changed).length > 0 && (
        <Button title="Run keys as they were" onPress={() => useRunKeys.getState().reset()} />
      )}
    </View>
  );
}
