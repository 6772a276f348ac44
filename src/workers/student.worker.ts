import { expose } from 'comlink';
import { withFailures } from '@/store/records/failure';
import { studentDesk } from './studentDesk';

expose(withFailures(studentDesk));
