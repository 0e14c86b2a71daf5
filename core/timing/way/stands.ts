/** Ticks on ground without a break that make a stand. */
const FIRM = 12;
/** Ticks between two stands that part a run; and after which one is taken even where none is firm. */
const [LEAST, MOST] = [120, 480];

/**
 * The ticks at which a run may be parted: where the runner stands firm, one to four seconds apart; the start
 * and the end are among them.
 * @param ground for each tick whether the runner was on ground, the start first
 */
export function standsOf(ground: Uint8Array): number[] {
  const stands = [0];
  let firm = 0;
  for (let tick = 1; tick < ground.length - 1; tick++) {
    firm = ground[tick] === 1 ? firm + 1 : 0;
    const since = tick - stands[stands.length - 1];
    if ((since >= LEAST && firm >= FIRM) || since >= MOST) stands.push(tick);
  }
  if (ground.length > 1) stands.push(ground.length - 1);
  return stands;
}
