import type { NumberQuestion } from '@/core/kinds/number/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Try, Write } from './Write';

export default defineFaces<NumberQuestion>({ Write, Folded, Rules, ruled, Try, typed: true });
