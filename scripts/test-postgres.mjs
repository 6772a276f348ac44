/** `npm run test:postgres`: the tests of the doors' server once more, over PostgreSQL. */
import { run } from './setup.mjs';
import { startPostgres } from './postgres.mjs';

const postgres = await startPostgres();
process.on('exit', () => postgres?.end());
if (postgres)
  run(
    'Doors over PostgreSQL',
    process.execPath,
    ['scripts/unit.mjs', 'tests/unit/server/door/desk.test.ts'],
    {
      TEST_DATABASE_URL: postgres.url,
    },
  );
