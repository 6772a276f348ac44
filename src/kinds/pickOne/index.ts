import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Try, Write } from './Write';

export default defineFaces<PickOneQuestion>({ Write, Folded, Rules, ruled, Try });
