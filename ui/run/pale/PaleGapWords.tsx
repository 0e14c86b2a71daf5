import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Text } from '../../parts';
import { RADIUS, SPACE } from '../../theme';
import { OVER_SCENE } from '../hud/overScene';
import type { LiveRun } from '../liveRun';
import { PaleGaps, type PaleGap, type PaleRun } from './paleRun';

/** Between two looks, ms: more often nobody could read. */
const EVERY = 250;

/** How far the live run is ahead of the nearest shown beside it, in time. */
export function PaleGapWords({
  live,
  pales,
  held,
}: {
  readonly live: LiveRun;
  readonly pales: readonly PaleRun[];
  readonly held: boolean;
}) {
  const gaps = useMemo(() => ({ live, of: new PaleGaps(pales) }), [live, pales]);
  const [said, say] = useState<PaleGap | null>(null);
  useEffect(() => {
    if (held || pales.length === 0) return;
    const timer = setInterval(() => say(gaps.of.nearest(gaps.live.state)), EVERY);
    return () => clearInterval(timer);
  }, [gaps, held, pales.length]);
  if (pales.length === 0 || !said) return null;
  return (
    <View
      pointerEvents="none"
      testID="pale-gap"
      style={{
        alignSelf: 'center',
        marginTop: SPACE.xs,
        paddingHorizontal: SPACE.m,
        borderRadius: RADIUS.m,
        backgroundColor: OVER_SCENE,
      }}
    >
      <Text as="small" style={{ color: '#1F2A2E' }}>
        <Text as="smallFigures" style={{ color: said.gap > 0 ? '#8F3420' : '#2F5A42' }}>
          {`${Math.abs(said.gap).toFixed(2)} s`}
        </Text>
        {` ${said.gap > 0 ? 'behind' : 'ahead of'} ${said.name}`}
      </Text>
    </View>
  );
}
