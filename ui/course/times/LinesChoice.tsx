import { View } from 'react-native';
import { LINE_MARKS, type LineMarkKind } from '@/core/timing';
import { Button, Chip, Text } from '../../parts';
import { clearLines, toggleLastLines, toggleMark, useShownRuns } from '../../state/shownRuns';
import { SPACE } from '../../theme';
import { LAST_RUNS } from '../runs/useRunLines';

const WORDS: Readonly<Record<LineMarkKind, string>> = {
  jump: 'Jumps',
  land: 'Landings',
  hit: 'Hits',
  fall: 'Falls',
  wait: 'Waits',
};

/** Which lines lie over the course while it is built, and what is marked on them. */
export function LinesChoice() {
  const { lastLines, lines, marks } = useShownRuns();
  const any = lastLines || lines.length > 0;
  return (
    <View style={{ gap: SPACE.s }} testID="lines-choice">
      <Text as="heading">Lines on the course</Text>
      <Text as="small" tint="slate">
        Pale where a run was slow, dark where it was fast.
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Chip
          role="checkbox"
          label={`The last ${LAST_RUNS} runs`}
          on={lastLines}
          onPress={toggleLastLines}
        />
        {any && <Button title="Clear them" icon="x" onPress={clearLines} />}
      </View>
      {any && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
          {LINE_MARKS.map((kind) => (
            <Chip
              key={kind}
              role="checkbox"
              tight
              label={WORDS[kind]}
              on={marks.includes(kind)}
              onPress={() => toggleMark(kind)}
            />
          ))}
        </View>
      )}
    </View>
  );
}
