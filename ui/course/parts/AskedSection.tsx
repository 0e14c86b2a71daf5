import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Button, Progress, Text } from '../../parts';
import type { IconName } from '../../parts';
import { SPACE } from '../../theme';
import type { AskedJob } from './useAskedJob';

interface AskedSectionProps {
  readonly title: string;
  /** What it will tell, before it is asked for. */
  readonly words: string;
  readonly button: string;
  readonly icon: IconName;
  /** What is done while it is under way. */
  readonly doing: string;
  readonly job: AskedJob<object>;
  readonly testID: string;
  /** What was found. */
  readonly children: ReactNode;
}

/** A part of Times that is counted only when asked for: a button, then how far it is, then what was found. */
export function AskedSection(props: AskedSectionProps) {
  const { title, words, button, icon, doing, job, testID, children } = props;
  return (
    <View style={{ gap: SPACE.s, alignItems: 'flex-start' }} testID={testID}>
      <Text as="heading">{title}</Text>
      {job.part === null && !job.found && (
        <>
          <Text as="small" tint="slate">
            {words}
          </Text>
          <Button title={button} icon={icon} onPress={job.begin} testID={`${testID}-begin`} />
        </>
      )}
      {job.problem && <Text tint="rust">{job.problem.message}</Text>}
      {job.part !== null && (
        <View style={{ alignSelf: 'stretch', gap: SPACE.s }}>
          <Progress part={job.part} label={doing} />
          <Button title="Stop" icon="x" onPress={job.stop} />
        </View>
      )}
      {children}
    </View>
  );
}
