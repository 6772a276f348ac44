import { expose } from 'comlink';
import { withFailures } from '@/store/records/failure';
import { quickDesk } from './quickDesk';
import { withWordLists } from './withWordLists';

expose(withFailures(withWordLists(quickDesk)));
