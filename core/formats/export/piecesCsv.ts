import { csvOf, csvWords, type Course } from '../../course';
import { familyOf } from '../../pieces';

const HEADS = [
  ...['id', 'family', 'name', 'x_m', 'y_m', 'z_m', 'turn_x_deg', 'turn_y_deg', 'turn_z_deg'],
  ...['width_m', 'height_m', 'depth_m', 'material', 'colour'],
];
const round = (v: number): string => String(Math.round(v * 1e4) / 1e4);

/** The pieces of a course as comma-separated values, a row each. */
export function piecesCsv({ pieces }: Course): string {
  const rows = pieces.map(({ id, family, name, at, turn, size, look }) => [
    id,
    family,
    csvWords(name ?? familyOf(family).label),
    ...at.map(round),
    ...(turn ?? [0, 0, 0]).map(round),
    ...(size ?? familyOf(family).size).map(round),
    look?.material ?? '',
    look?.colour ?? '',
  ]);
  return csvOf([HEADS, ...rows]);
}
