import type { PickSeveralQuestion } from '@/core/kinds/pickSeveral/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Write } from './Write';

export default defineFaces<PickSeveralQuestion>({ Write, Folded, Rules, ruled });
