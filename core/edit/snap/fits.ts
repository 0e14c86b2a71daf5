import type { Course } from '../../course';
import { distance, type Vec3 } from '../../geometry';
import { FAMILIES, localGeometry, type Family } from '../../pieces';
import { endIndex, mayJoin, type Connector } from './connectors';

/** The open end nearest to a place: a track's first, as it wants to go on. */
export function openEndNear(course: Pick<Course, 'pieces'>, place: Vec3): Connector | null {
  const open = endIndex(course)
    .open()
    .sort((a, b) => distance(a.at, place) - distance(b.at, place));
  return (
    open.find(({ kind }) => kind === 'track') ??
    open.find(({ kind }) => kind === 'wall') ??
    open[0] ??
    null
  );
}

/** The families with an end that may join an open one, those of its own kind first. */
export function familiesThatFit(end: Connector): Family[] {
  const rank = (family: Family): number => {
    if (family.drawn) return 0;
    const kinds = localGeometry({ family: family.id }).sockets.map(({ kind }) => kind);
    if (kinds.includes(end.kind)) return 2;
    return kinds.some((kind) => mayJoin(kind, end.kind)) ? 1 : 0;
  };
  return FAMILIES.map((family) => ({ family, fit: rank(family) }))
    .filter(({ fit }) => fit > 0)
    .sort((a, b) => b.fit - a.fit)
    .map(({ family }) => family);
}
