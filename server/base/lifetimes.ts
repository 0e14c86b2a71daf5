/** A day, ms. */
export const A_DAY = 86_400_000;
/** Time after its last use at which a session ends, ms. */
export const SESSION_TIME = 90 * A_DAY;
/** Time after its last sign-in at which a device is forgotten, ms. */
export const KNOWN_DEVICE_TIME = 400 * A_DAY;
