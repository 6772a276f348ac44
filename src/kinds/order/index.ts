import type { OrderQuestion } from '@/core/kinds/order/schema';
import { defineFaces } from '../defineFaces';
import { ruled, Rules } from './Rules';
import { Folded, Write } from './Write';

export default defineFaces<OrderQuestion>({ Write, Folded, Rules, ruled });
