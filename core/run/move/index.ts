// How each kind of runner moves.
export { leaveGround } from './move';
export { moveWithPlatform, resolvePushers } from './ride';
export { tickHopper } from './hopper';
export { mayStrike, tickFlick, tickRoller } from './roller';
export { LIP, tickCart } from './cart';
