/** A day, ms. */
export const A_DAY = 86_400_000;
/** How long a session lasts after it was last used, ms. */
export const SESSION_TIME = 90 * A_DAY;
/** How long a device is known after its last sign-in, ms. */
export const KNOWN_DEVICE_TIME = 400 * A_DAY;
