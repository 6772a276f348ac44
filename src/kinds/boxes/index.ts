import type { BoxesQuestion } from '@/core/kinds/boxes/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Write } from './Write';

export default defineFaces<BoxesQuestion>({ Write, Folded, Rules, ruled });
