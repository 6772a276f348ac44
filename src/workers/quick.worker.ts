import { expose } from 'comlink';
import { withFailures } from '@/store/records/failure';
import { quickDesk } from './quickDesk';

expose(withFailures(quickDesk));
