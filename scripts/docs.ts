/** `npm run docs`: writes the pages of `docs/` that are made from the code, which `npm test` keeps true. */
import { writeFileSync } from 'node:fs';
import { casesPage } from '../tests/workedCases';

writeFileSync('docs/marking-cases.md', casesPage());
