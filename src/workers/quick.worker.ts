import { expose } from 'comlink';
import { withFailures } from '@/store/failure';
import { quickDesk } from './quickDesk';

expose(withFailures(quickDesk));
