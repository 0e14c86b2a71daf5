import type { Course, Piece } from '../../course';
import type { Vec2, Vec3 } from '../../geometry';
import { convexHull } from '../../geometry';
import { escaped } from '../escaped';
import { pieceBounds, registerModels, worldParts } from '../../pieces';

/** A sheet of A3, lying, and what is left free about the drawing, mm. */
const SHEET: Vec2 = [420, 297];
const MARGIN = 22;
/** Between plan and elevation. */
const GAP = 26;
/** What drawings are usually scaled by: one to so many. */
const SCALES = [20, 25, 50, 100, 200, 250, 300, 400, 500, 750, 1000, 2000, 5000];
const TITLE = 14;

const INK = '#1F2A2E';
const FILL = '#DDD5C3';
const MARKS: Readonly<Record<string, string>> = {
  start: '#7A5A94',
  lantern: '#7A5A94',
  cairn: '#7A5A94',
};

/** A view of a course: how far each piece reaches to the right and down the sheet, and what hides what, m. */
interface View {
  readonly title: string;
  readonly flat: (p: Vec3) => Vec2;
  /** What is drawn last lies on top. */
  readonly height: (piece: Piece) => number;
  readonly names: readonly [across: string, down: string];
}

const VIEWS: readonly View[] = [
  {
    title: 'Plan',
    flat: ([x, , z]) => [x, z],
    height: (piece) => pieceBounds(piece).high[1],
    names: ['length', 'width'],
  },
  {
    title: 'Elevation',
    flat: ([x, y]) => [x, -y],
    height: (piece) => pieceBounds(piece).high[2],
    names: ['length', 'height'],
  },
];

/** One to how many the two views fit on the sheet. */
function scaleFor(sizes: readonly Vec2[]): number {
  const across = Math.max(...sizes.map(([w]) => w), 0.1);
  const down = sizes.reduce((sum, [, h]) => sum + h, 0);
  const room: Vec2 = [SHEET[0] - 2 * MARGIN, SHEET[1] - 2 * MARGIN - GAP - TITLE];
  const least = Math.max((across * 1000) / room[0], (down * 1000) / room[1]);
  return SCALES.find((scale) => scale >= least) ?? Math.ceil(least / 1000) * 1000;
}

/**
 * Plan and elevation of a course on a sheet of A3 to print, true to a scale, with its length, width and height and a
 * bar to measure by. SVG in millimetres.
 */
export function planSvg(course: Course): string {
  registerModels(course);
  const drawn = VIEWS.map((view) => facesOf(course, view));
  const scale = scaleFor(drawn.map(({ size }) => size));
  const mm = (m: number) => (m * 1000) / scale;
  let top = MARGIN + TITLE;
  const parts = drawn.map(({ view, faces, low, size }) => {
    const place = ([x, y]: Vec2): string =>
      `${number(MARGIN + mm(x - low[0]))},${number(top + mm(y - low[1]))}`;
    const polygons = faces.map(
      ({ points, fill }) => `<polygon points="${points.map(place).join(' ')}" fill="${fill}"/>`,
    );
    const [w, h] = size.map(mm);
    const lines =
      dimension(MARGIN, top + h + 6, MARGIN + w, top + h + 6, metres(size[0])) +
      dimension(MARGIN - 8, top, MARGIN - 8, top + h, metres(size[1]));
    const title = `<text x="${MARGIN}" y="${number(top - 4)}" font-size="4">${view.title}</text>`;
    top += h + GAP;
    return `<g>${title}<g stroke="${INK}" stroke-width="0.15">${polygons.join('')}</g>${lines}</g>`;
  });
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${SHEET[0]}mm" height="${SHEET[1]}mm" ` +
    `viewBox="0 0 ${SHEET[0]} ${SHEET[1]}" font-family="sans-serif" fill="${INK}" stroke-linejoin="round">` +
    `<rect width="100%" height="100%" fill="#FFFFFF"/>` +
    `<text x="${MARGIN}" y="${MARGIN - 6}" font-size="7" font-weight="700">${escaped(course.name)}</text>` +
    `${parts.join('')}${bar(scale)}</svg>\n`
  );
}

/** All that is seen of a course in a view, what lies on top last. */
function facesOf(course: Course, view: View) {
  const low: [number, number] = [Infinity, Infinity];
  const high: [number, number] = [-Infinity, -Infinity];
  const ordered = [...course.pieces].sort((a, b) => view.height(a) - view.height(b));
  const faces = ordered.flatMap((piece) =>
    worldParts(piece)
      .filter(({ unseen }) => !unseen)
      .map(({ solid }) => {
        const points = convexHull(solid.points.map(view.flat));
        for (const point of points) {
          for (const axis of [0, 1] as const) {
            low[axis] = Math.min(low[axis], point[axis]);
            high[axis] = Math.max(high[axis], point[axis]);
          }
        }
        return { points, fill: MARKS[piece.family] ?? FILL };
      }),
  );
  if (faces.length === 0) return { view, faces, low: [0, 0] as Vec2, size: [0, 0] as Vec2 };
  const size: Vec2 = [high[0] - low[0], high[1] - low[1]];
  return { view, faces, low, size };
}

/** A line with its ends marked and its length beside it, mm. */
function dimension(x1: number, y1: number, x2: number, y2: number, words: string): string {
  const upright = x1 === x2;
  const [mx, my] = [(x1 + x2) / 2, (y1 + y2) / 2];
  const end = (x: number, y: number) =>
    upright ? `M${number(x - 1.5)} ${number(y)}h3` : `M${number(x)} ${number(y - 1.5)}v3`;
  const turn = upright ? ` transform="rotate(-90 ${number(mx - 1.5)} ${number(my)})"` : '';
  const at = upright ? [mx - 1.5, my] : [mx, my + 4.5];
  return (
    `<path d="M${number(x1)} ${number(y1)}L${number(x2)} ${number(y2)}${end(x1, y1)}${end(x2, y2)}" ` +
    `fill="none" stroke="${INK}" stroke-width="0.25"/>` +
    `<text x="${number(at[0])}" y="${number(at[1])}" font-size="3.5" text-anchor="middle"${turn}>${words}</text>`
  );
}

/** The scale in figures, and a bar of whole metres that shows whether it was printed so. */
function bar(scale: number): string {
  const length = [1, 2, 5, 10, 20, 50, 100, 200].find((m) => (m * 1000) / scale >= 30) ?? 500;
  const [x, y] = [SHEET[0] - MARGIN - (length * 1000) / scale, SHEET[1] - MARGIN + 6];
  return (
    dimension(x, y, SHEET[0] - MARGIN, y, `${length} m`) +
    `<text x="${number(x - 4)}" y="${number(y + 1)}" font-size="4" text-anchor="end">1 : ${scale}</text>`
  );
}

const number = (v: number): string => String(Math.round(v * 1000) / 1000);
const metres = (m: number): string => `${(Math.round(m * 100) / 100).toFixed(2)} m`;
