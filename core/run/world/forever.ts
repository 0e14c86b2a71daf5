/** A tick that never comes: until then is for good. */
export const FOR_GOOD = 0x7fffffff;
