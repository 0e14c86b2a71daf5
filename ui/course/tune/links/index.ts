export { AllLinks, PieceLinks } from './LinkLists';
