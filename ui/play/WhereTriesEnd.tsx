import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Rect } from 'react-native-svg';
import type { PublishedCourse } from '@/core/protocol';
import { elevationProfile, plannedRoute } from '@/core/route';
import { tideLine } from '@/core/run';
import { useSettings } from '../device/settings';
import { Card, Text, Toggle } from '../parts';
import { endsAlong, FOOT, HEIGHT, RibbonDrawing, ribbonScales } from '../ribbon';
import { api } from '../state/api';
import { SPACE, useColours } from '../theme';
import { KEYS } from '../state/keys';

/** Height of the bar where most tries end, pixels. */
const BAR = 34;

/** The course unrolled, with a bar wherever tries ended; and whether one's own are told. */
export function WhereTriesEnd({ data }: { readonly data: PublishedCourse }) {
  const { slug, hash, own } = data;
  const { tellEnds, set } = useSettings();
  const { data: ends } = useQuery({
    queryKey: KEYS.ends(slug, hash),
    queryFn: ({ signal }) => api.ends(slug, signal),
    staleTime: 60_000,
  });
  const count = ends?.reduce((sum, end) => sum + end.count, 0) ?? 0;
  return (
    <View style={{ gap: SPACE.s }} testID="tries-end">
      <Text as="heading">Where tries end</Text>
      {count > 0 ? (
        <Unrolled data={data} ends={ends!} count={count} />
      ) : (
        <Text as="small" tint="slate">
          Nobody has told yet.
        </Text>
      )}
      {!own && (
        <Toggle
          label="Tell where mine end, without my name"
          value={tellEnds}
          onChange={(told) => set({ tellEnds: told })}
        />
      )}
    </View>
  );
}

interface UnrolledProps {
  readonly data: PublishedCourse;
  /** How many there are in all. */
  readonly count: number;
  readonly ends: Awaited<ReturnType<typeof api.ends>>;
}

function Unrolled({ data: { course }, ends, count }: UnrolledProps) {
  const colours = useColours();
  const [width, setWidth] = useState(0);
  const profile = useMemo(() => {
    const { way, closed } = plannedRoute(course);
    return elevationProfile(course, closed ? [...way, way[0]] : way);
  }, [course]);
  const tide = useMemo(() => tideLine(course), [course]);
  const { stations, length } = profile;
  const places = endsAlong(
    stations,
    length,
    ends.map(({ at }) => at),
    ends.map(({ count }) => count),
  );
  const { x } = ribbonScales(profile, tide, width);
  const most = Math.max(0, ...places.map(({ count }) => count));
  const worst = places.find(({ count }) => count === most);
  return (
    <>
      <Card>
        <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
          {width > 0 && stations.length > 0 && (
            <Svg
              width={width}
              height={HEIGHT}
              accessibilityLabel="Bars where tries end, along the way"
            >
              {places.map(({ from, to, part }) => (
                <Rect
                  key={from}
                  x={x(from) + 1}
                  y={HEIGHT - FOOT - Math.max(4, part * BAR)}
                  width={x(to) - x(from) - 2}
                  height={Math.max(4, part * BAR)}
                  rx={2}
                  fill={colours.rust}
                  fillOpacity={0.35 + 0.65 * part}
                />
              ))}
              <RibbonDrawing profile={profile} tide={tide} beats={[]} words="" width={width} />
            </Svg>
          )}
        </View>
      </Card>
      {worst && (
        <Text as="small" tint="slate" testID="tries-end-most">
          {most} of {count} about {Math.round((worst.from + worst.to) / 2)} m from the start.
        </Text>
      )}
    </>
  );
}
