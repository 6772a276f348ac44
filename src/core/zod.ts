/** Zod, set up once: no code generation at run time, so that the strict content policy holds. */
import { config, z } from 'zod';

config({ jitless: true });

export { z };
