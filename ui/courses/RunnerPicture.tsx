import { memo, useMemo } from 'react';
import { Image } from 'react-native';
import type { RunnerKind } from '@/core/course';
import { drawParts, toSvg } from '@/core/formats';
import { add, mapPoints } from '@/core/geometry';
import { runnerForm } from '../scene/runnerForms';

/** A picture of a runner, from its real form. */
export const RunnerPicture = memo(function RunnerPicture({
  kind,
  size,
}: {
  kind: RunnerKind;
  size: number;
}) {
  const uri = useMemo(() => {
    const { body, limbs } = runnerForm(kind);
    const hung = limbs.flatMap(({ at, parts }) =>
      parts.map((part) => ({ ...part, solid: mapPoints(part.solid, (p) => add(p, at)) })),
    );
    const svg = toSvg(drawParts([...body, ...hung]), size, size, 4, 0.9);
    return `data:image/svg+xml,${encodeURIComponent(svg)}`;
  }, [kind, size]);
  return <Image source={{ uri }} style={{ width: size, height: size }} />;
});
