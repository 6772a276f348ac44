import '@/core/answers/text/patternEngine';
import { quickDesk } from './quickDesk';
import { serveDesk } from './serveDesk';

serveDesk(quickDesk);
