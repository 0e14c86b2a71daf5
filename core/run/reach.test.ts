import fc from 'fast-check';
import { cases } from '../deep.testing';
import { mapPoints, type Vec3 } from '../geometry';
import { applyPose } from '../motion';
import { buildWorld, initialState } from '.';
import { anyRun } from './fuzz.testing';
import { formBounds, BROADPHASE_MARGIN, poseMover } from './world';
import { SKIN } from './state';

test('whatever moves stays within the box it is looked for in, at any moment', () => {
  fc.assert(
    fc.property(anyRun, fc.array(fc.integer({ min: 0, max: 200_000 })), ({ course }, ticks) => {
      const world = buildWorld(course);
      const state = initialState(world);
      state.moverFrom.fill(0);
      for (const tick of ticks) {
        state.tick = tick;
        for (const { mover, form, low, high } of world.colliders) {
          // What follows the runner or chance has room of its own.
          if (mover < 0 || world.movers[mover].driven || world.movers[mover].parent >= 0) continue;
          const { pose } = poseMover(world.movers, state, mover);
          const place = (p: Vec3) => applyPose(pose, p);
          const now =
            form.kind === 'ball'
              ? { ...form, centre: place(form.centre), radius: form.radius * pose.size }
              : {
                  ...form,
                  solid: mapPoints(form.solid, place),
                  ...(form.round ? { round: form.round * pose.size } : {}),
                };
          const box = formBounds(now);
          // Less the room that sweeps do without.
          const room = BROADPHASE_MARGIN - SKIN / 2;
          for (let axis = 0; axis < 3; axis++) {
            expect(box.low[axis]).toBeGreaterThanOrEqual(low[axis] + room);
            expect(box.high[axis]).toBeLessThanOrEqual(high[axis] - room);
          }
        }
      }
    }),
    { numRuns: cases(150), seed: 5 },
  );
});
