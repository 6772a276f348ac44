import { same } from '@/core/figures/deepEqual';
import { kindOf, type Question } from '@/core/kinds';
import type { OptionOrder } from '@/core/kinds/kind';
import type { RuleWords } from '../faces';

/** A rule in a few words, and whether it is another one than a new question of the kind has. */
export function ruleOf<Q extends Question>(question: Q, field: keyof Q, words: string): RuleWords {
  const usual = kindOf(question).create(() => '') as Partial<Q>;
  return { words, own: !same(question[field], usual[field]) };
}

/** Only those that are not usual: what says nothing where it is as ever. */
export const whereOwn = (rules: readonly RuleWords[]): RuleWords[] => rules.filter(({ own }) => own);

const ORDERS = { shuffled: 'options shuffled for each student', written: 'options in this order' } as const;

/** The order in which options come; of its own where the question does not leave it to the quiz. */
export const orderRule = (shuffled: boolean | null, quiz: OptionOrder): RuleWords => ({
  words: ORDERS[(shuffled ?? quiz === 'shuffled') ? 'shuffled' : 'written'],
  own: shuffled !== null,
});
