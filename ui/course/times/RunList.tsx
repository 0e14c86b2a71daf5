import { useState } from 'react';
import { View } from 'react-native';
import { ago, Choices, IconButton, ListItem, runTime, Text } from '../../parts';
import { isWhole } from '../../state/attempts';
import { toggleBeside, useShownRuns } from '../../state/shownRuns';
import { SPACE } from '../../theme';
import { RUN_FILTERS, usefulFilters, type RunFilter } from './runFilter';
import type { KnownRun } from '../runs/runsKnown';

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

const besideKey = ({ key }: KnownRun, best: string | null): string => (key === best ? 'best' : key);

/** The runs there are of the course as it is, the latest first, or those of them one looks for. */
export function RunList({ runs, shown, best, onShow }: RunListProps) {
  const beside = useShownRuns((s) => s.beside);
  const [wanted, setWanted] = useState<RunFilter>('all');
  const filters = usefulFilters(runs);
  const filter = filters.includes(wanted) ? wanted : 'all';
  return (
    <View testID="run-list">
      <Text as="heading">Your runs</Text>
      {filters.length > 1 && (
        <View style={{ paddingVertical: SPACE.s }}>
          <Choices
            value={filter}
            options={filters.map((value) => ({ value, label: RUN_FILTERS[value].label }))}
            onChange={setWanted}
          />
        </View>
      )}
      {runs.filter(RUN_FILTERS[filter].takes).map((run) => (
        // The best is held against as the best, whichever that comes to be.
        <View key={run.key} style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
          <View style={{ flex: 1, minWidth: 0 }}>
            <ListItem
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
          </View>
          <IconButton
            icon="columns"
            label={`Hold against ${run.name}`}
            on={beside.includes(besideKey(run, best))}
            disabled={run.key === shown}
            onPress={() => toggleBeside(besideKey(run, best))}
            testID={`beside-${run.key}`}
          />
        </View>
      ))}
    </View>
  );
}
