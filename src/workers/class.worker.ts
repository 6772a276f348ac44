import '@/core/answers/text/patternEngine';
import { classDesk, fileDesk } from './classDesk';
import { serveDesk } from './serveDesk';

/** Serves everything in bulk, or, under the name `files`, what comes from files, so that it can be stopped by itself. */
if (self.name === 'files') serveDesk(fileDesk);
else serveDesk(classDesk);
