import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import { defineFaces } from '../defineFaces';
import { Folded, Try, Write } from './Write';

export default defineFaces<PickOneQuestion>({ Write, Folded, Try });
