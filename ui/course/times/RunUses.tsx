import { router } from 'expo-router';
import { View } from 'react-native';
import { runFileName, toRunFile } from '@/core/formats';
import { Button, Chip, FileButtons } from '../../parts';
import { isWhole } from '../../state/attempts';
import { toggleLine, togglePale, useShownRuns } from '../../state/shownRuns';
import { SPACE } from '../../theme';
import type { KnownRun } from '../runs/runsKnown';
import { watchPage } from '../../device/routes';

/** What can be done with a run: watch it, have it run beside the next one, lay its line over the course. */
export function RunUses({
  id,
  course,
  shown,
}: {
  readonly id: string;
  /** What the course is called. */
  readonly course: string;
  readonly shown: KnownRun;
}) {
  const beside = useShownRuns((s) => s.pales.includes(shown.key));
  const lined = useShownRuns((s) => s.lines.includes(shown.key));
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.s }}>
      <Button
        title="Watch"
        icon="film"
        onPress={() => router.push(watchPage(id, shown.key))}
        testID="times-watch"
      />
      <Chip
        role="checkbox"
        label="Line on the course"
        on={lined}
        onPress={() => toggleLine(shown.key)}
      />
      {/* Begun part of the way, it was never where the next one begins. */}
      {isWhole(shown) && (
        <>
          <Chip
            role="checkbox"
            label="Pale runner"
            on={beside}
            onPress={() => togglePale(shown.key)}
          />
          <FileButtons
            title="Save the run"
            name={runFileName(course, shown.run)}
            text={() => toRunFile(shown.run)}
            testID="save-run"
          />
        </>
      )}
    </View>
  );
}
