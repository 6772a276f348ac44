/** `npm run bench:door`: measures a door on a file and on PostgreSQL; see `bench/door.ts`. */
import { build, run } from './setup.mjs';
import { startPostgres } from './postgres.mjs';

if (!process.env.DIST) build('dist');
const postgres = process.env.DATABASE_URL ? null : await startPostgres();
process.on('exit', () => postgres?.end());
const env = postgres ? { DATABASE_URL: postgres.url } : {};
run('The door', process.execPath, ['--import', 'tsx', 'bench/door.ts'], env);
