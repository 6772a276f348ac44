import { expose } from 'comlink';
import { withFailures } from '@/store/failure';
import { studentDesk } from './studentDesk';

expose(withFailures(studentDesk));
