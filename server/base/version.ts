import { version } from '../../package.json';

/** The version of this program. */
export const VERSION: string = version;
