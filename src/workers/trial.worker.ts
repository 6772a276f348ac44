import { expose } from 'comlink';
import { withFailures } from '@/store/records/failure';
import { trialDesk } from './trialDesk';
import { withWordLists } from './withWordLists';

expose(withFailures(withWordLists(trialDesk)));
