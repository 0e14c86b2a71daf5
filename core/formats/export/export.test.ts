import { WebIO } from '@gltf-transform/core';
import { validateBytes } from 'gltf-validator';
import { DEMO_COURSES } from '@/demo/courses';
import { emptyCourse, type Course } from '../../course';
import { layPieces } from '../../edit';
import { pieceBounds } from '../../pieces';
import { piecesCsv, planSvg, toGlb } from '.';

const quay = (name = 'Quay'): Course =>
  layPieces(emptyCourse(name), [
    { family: 'slab', at: [3, -0.5, 1], size: [12, 0.5, 2] },
    { family: 'slab', at: [3, -0.5, 9], size: [12, 0.5, 2], turn: [0, 90, 0] },
    { family: 'start', at: [-2, 0, 1] },
    { family: 'lantern', at: [7, 0, 1] },
  ]);

describe('as a scene', () => {
  test.each(DEMO_COURSES.map(({ slug, course }) => [slug, course] as const))(
    '%s has nothing the validator of glTF finds fault with',
    async (_, course) => {
      const { issues } = await validateBytes(await toGlb(course));
      expect(issues.messages.filter(({ severity }) => severity <= 1)).toEqual([]);
    },
  );

  test('each piece stands where it is laid; those of one form share a mesh', async () => {
    const course = quay();
    const root = (await new WebIO().readBinary(await toGlb(course))).getRoot();
    const nodes = root.listNodes();
    expect(nodes.map((node) => node.getName().split(' ').at(-1))).toEqual(
      course.pieces.map(({ id }) => id),
    );
    expect(nodes[0].getMesh()).toBe(nodes[1].getMesh());
    nodes.forEach((node, i) => {
      const { low, high } = pieceBounds(course.pieces[i]);
      const matrix = node.getWorldMatrix();
      const positions = node.getMesh()!.listPrimitives()[0].getAttribute('POSITION')!;
      for (let at = 0; at < positions.getCount(); at++) {
        const [x, y, z] = positions.getElement(at, [0, 0, 0]);
        for (let axis = 0; axis < 3; axis++) {
          const v =
            matrix[axis] * x + matrix[4 + axis] * y + matrix[8 + axis] * z + matrix[12 + axis];
          expect(v).toBeGreaterThan(low[axis] - 1e-3);
          expect(v).toBeLessThan(high[axis] + 1e-3);
        }
      }
    });
  });

  test('a course of nothing that is seen is a scene all the same', async () => {
    const { issues } = await validateBytes(await toGlb({ ...quay(), pieces: [] }));
    expect(issues.numErrors).toBe(0);
  });
});

describe('as a drawing to scale', () => {
  const points = (svg: string) =>
    [...svg.matchAll(/points="([^"]*)"/g)].map(([, text]) =>
      text.split(' ').map((pair) => pair.split(',').map(Number)),
    );

  test('lengths on the sheet are those of the course by its scale, and are told', () => {
    const svg = planSvg(quay());
    const scale = Number(/1 : (\d+)/.exec(svg)![1]);
    const [slab] = points(svg);
    const across = Math.max(...slab.map(([x]) => x)) - Math.min(...slab.map(([x]) => x));
    const down = Math.max(...slab.map(([, y]) => y)) - Math.min(...slab.map(([, y]) => y));
    // Of the two slabs the one drawn first is either: 12 by 2 or 2 by 12 m.
    const sizes = [across, down].map((mm) => (mm * scale) / 1000).sort((a, b) => a - b);
    expect(sizes[0]).toBeCloseTo(2, 2);
    expect(sizes[1]).toBeCloseTo(12, 2);
    expect(svg).toContain('12.00 m');
  });

  test.each(DEMO_COURSES.map(({ slug, course }) => [slug, course] as const))(
    '%s lies on its sheet',
    (_, course) => {
      for (const face of points(planSvg(course))) {
        for (const [x, y] of face) {
          expect(x >= 0 && x <= 420 && y >= 0 && y <= 297).toBe(true);
        }
      }
    },
  );

  test('a name does nothing but stand there, and a course of nothing can be drawn', () => {
    const svg = planSvg(quay('<script>&'));
    expect(svg).toContain('&lt;script&gt;&amp;');
    expect(svg).not.toContain('<script>');
    expect(planSvg({ ...quay(), pieces: [] })).toContain('</svg>');
  });
});

describe('as a table', () => {
  test('a row for each piece, and words are no formulas', () => {
    const course = quay();
    const pieces = course.pieces.map((piece, i) =>
      i === 0 ? { ...piece, name: '=SUM(A1), "so"' } : piece,
    );
    const rows = piecesCsv({ ...course, pieces })
      .trim()
      .split('\r\n');
    expect(rows).toHaveLength(5);
    expect(rows[1]).toBe(`p1,slab,"'=SUM(A1), ""so""",3,-0.5,1,0,0,0,12,0.5,2,,`);
    expect(rows[2]).toContain(',0,90,0,');
  });
});
