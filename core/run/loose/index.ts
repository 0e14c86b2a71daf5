// What falls and is pushed, by a physics library behind the state's own interface.
export { hasLoose, isLoaded, loadPhysics } from './physics';
export { LooseBodies } from './loose';
export { OffTape, tapedState } from './tape';
