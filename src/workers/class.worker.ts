import { expose } from 'comlink';
import { classDesk } from './classDesk';

expose(classDesk);
