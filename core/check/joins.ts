/** Ends that lie nearer than this are meant to meet, m; wider apart, to be apart. */
export const HAIR = 0.05;
