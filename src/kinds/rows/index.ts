import type { RowsQuestion } from '@/core/kinds/rows/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Write } from './Write';

export default defineFaces<RowsQuestion>({ Write, Folded, Rules, ruled });
