import type { NumberQuestion } from '@/core/kinds/number/schema';
import { defineFaces } from '../defineFaces';
import { Rules } from './Rules';
import { Folded, Try, Write } from './Write';

export default defineFaces<NumberQuestion>({ Write, Folded, Rules, Try, typed: true });
