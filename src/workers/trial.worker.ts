import { expose } from 'comlink';
import { withFailures } from '@/store/records/failure';
import { trialDesk } from './trialDesk';

expose(withFailures(trialDesk));
