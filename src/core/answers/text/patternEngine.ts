import { RE2JS } from 're2js';
import { handInEngine } from './pattern';

/** Imported where patterns can be read at once, and fetched where the first of them is asked for. */
handInEngine(RE2JS);
