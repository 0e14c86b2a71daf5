/** Height of the picture in degrees of view. */
export const FIELD = 32;
/** Half the picture's height at a depth of one metre, m. */
export const TAN_HALF_FIELD = Math.tan((FIELD * Math.PI) / 360);
