import { expose } from 'comlink';
import { quickDesk } from './quickDesk';

expose(quickDesk);
