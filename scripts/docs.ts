/** `npm run docs`: writes the files that are made from the code, which `npm test` keeps true. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { generated } from '../tests/generated';

for (const [path, bytes] of await generated()) {
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, bytes);
}
