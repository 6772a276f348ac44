import { expose } from 'comlink';
import { studentDesk } from './studentDesk';

expose(studentDesk);
