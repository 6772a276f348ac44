import { version } from '../../package.json';

/** What this server is. */
export const about = (): { name: string; version: string } => ({ name: 'yentrel', version });
