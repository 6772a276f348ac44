import { expose } from 'comlink';
import { withFailures } from '@/store/records/failure';
import { classDesk } from './classDesk';

expose(withFailures(classDesk));
