import path from 'node:path';
import { build } from 'esbuild';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { loadPhysics, replay } from '@/core/run';
import { expect, test } from './support/test';

test('a replay is the same bit for bit in Node and in Chromium', async ({ page }) => {
  const root = path.join(__dirname, '..');
  const bundle = await build({
    entryPoints: [path.join(root, 'core/run/index.ts')],
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'stoneHop',
    alias: { '@': root },
  });
  await page.addScriptTag({ content: bundle.outputFiles[0].text });
  for (const { slug, course } of DEMO_COURSES) {
    // One run of each course: they differ in their pieces, the runs of one in what was pressed.
    for (const { run } of DEMO_RUNS[slug].slice(0, 1)) {
      await loadPhysics(course);
      const here = replay(course, run);
      const there = await page.evaluate(
        async ([c, r]) => {
          const { stoneHop } = window as unknown as {
            stoneHop: { replay: typeof replay; loadPhysics: typeof loadPhysics };
          };
          await stoneHop.loadPhysics(c);
          const { poses, time } = stoneHop.replay(c, r);
          return { poses, time };
        },
        [course, run] as const,
      );
      expect(there).toEqual({ poses: here.poses, time: here.time });
      expect(here.time).toBe(run.claim);
    }
  }
});
