/**
 * Strength of scrypt (Percival, 2009): 2 to this many steps, blocks of 1 KiB, one after the other. As OWASP's password
 * storage cheat sheet asks for at least.
 */
export const [STEPS, BLOCK, LANES] = [17, 8, 1];
