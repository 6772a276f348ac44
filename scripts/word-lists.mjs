/** Makes the word lists, unless they are there. */
import { compileWordLists } from './setup.mjs';

compileWordLists();
