/** A tick that never comes: until then is for good. */
export const FOREVER = 0x7fffffff;
