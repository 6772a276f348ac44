/** Builds what the end-to-end tests are run against, unless that build is there already. */
import { build } from './setup.mjs';

build('dist-test');
