import type { WrittenQuestion } from '@/core/kinds/written/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Write } from './Write';

export default defineFaces<WrittenQuestion>({ Write, Folded, Rules, ruled });
