import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import { defineFaces } from '../defineFaces';
import { Rules } from './Rules';
import { Folded, Try, Write } from './Write';

export default defineFaces<PickOneQuestion>({ Write, Folded, Rules, Try });
