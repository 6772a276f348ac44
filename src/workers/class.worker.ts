import { expose } from 'comlink';
import { withFailures } from '@/store/failure';
import { classDesk } from './classDesk';

expose(withFailures(classDesk));
