import { expose } from 'comlink';
import { withFailures } from '@/store/records/failure';
import { classDesk } from './classDesk';
import { withWordLists } from './withWordLists';

expose(withFailures(withWordLists(classDesk)));
