import '@/core/answers/text/patternEngine';
import { classDesk } from './classDesk';
import { serveDesk } from './serveDesk';

serveDesk(classDesk);
