import { useQuery } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { useEffect } from 'react';
import { isLoaded, loadPhysics } from '@/core/run';
import { Fault, Loading } from '../parts';
import { holdRun } from '../state/runOn';
import { RUN_FONTS } from '../theme';
import { ReadyRun } from './ReadyRun';
import type { RunProps } from './runProps';

/** A run, once all that it is played by is there. */
export function RunView(props: RunProps) {
  useFonts(RUN_FONTS);
  const { course } = props;
  const needed = !isLoaded(course);
  // A newer version waits until it is over.
  useEffect(holdRun, []);
  const { error, refetch, isFetching } = useQuery({
    queryKey: ['physics'],
    queryFn: () => loadPhysics(course).then(() => true),
    enabled: needed,
    retry: false,
  });
  if (!needed) return <ReadyRun {...props} />;
  if (error && !isFetching) {
    return (
      <Fault
        title="The run cannot begin"
        words="What moves its loose pieces could not be loaded."
        action={{ label: 'Try again', act: () => void refetch() }}
      />
    );
  }
  return <Loading what="Weighing the loose pieces" />;
}
