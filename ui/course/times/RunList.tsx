import { View } from 'react-native';
import { ago, ListItem, runTime, Text } from '../../parts';
import { isWhole } from '../../state/attempts';
import type { KnownRun } from './runsKnown';

interface RunListProps {
  readonly runs: readonly KnownRun[];
  readonly shown: string;
  readonly best: string | null;
  readonly onShow: (key: string) => void;
}

/** How a run ended, in words. */
export function endWords(run: KnownRun, best: boolean): string {
  const { finished, falls } = run;
  const words = [
    best && 'the best',
    !isWhole(run) && 'begun part of the way',
    !finished && 'did not get there',
    falls > 0 && `${falls} ${falls === 1 ? 'fall' : 'falls'}`,
  ].filter(Boolean);
  return words.length > 0 ? words.join(', ') : 'no falls';
}

/** All runs there are of the course as it is, the latest first. */
export function RunList({ runs, shown, best, onShow }: RunListProps) {
  return (
    <View testID="run-list">
      <Text as="heading">Your runs</Text>
      {runs.map((run) => (
        <ListItem
          key={run.key}
          on={run.key === shown}
          onPress={() => onShow(run.key)}
          testID={`run-${run.key}`}
        >
          <View style={{ flex: 1, minWidth: 0 }}>
            <Text as={run.key === shown ? 'strong' : 'text'}>{run.name}</Text>
            <Text as="small" tint="slate" numberOfLines={1}>
              {[run.at !== null && ago(run.at), endWords(run, run.key === best)]
                .filter(Boolean)
                .join(' · ')}
            </Text>
          </View>
          <Text as="figures" tint={run.finished ? 'ink' : 'slate'}>
            {runTime(run.time)}
          </Text>
        </ListItem>
      ))}
    </View>
  );
}
