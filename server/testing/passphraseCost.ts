// A quarter of the work, for tests sign in hundreds of times; still more than the first digests took.
export const [STEPS, BLOCK, LANES] = [15, 8, 1];
