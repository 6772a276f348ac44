import type { TrueFalseQuestion } from '@/core/kinds/trueFalse/schema';
import { defineFaces } from '../defineFaces';
import { Folded, Write } from './Write';

export default defineFaces<TrueFalseQuestion>({ Write, Folded });
