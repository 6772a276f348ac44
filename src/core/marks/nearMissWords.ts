import type { NearMiss } from './mark';

const NEAR: Readonly<Record<NearMiss, string>> = {
  anotherWord: 'close to an accepted answer, but another word',
  singularOrPlural: 'the singular or plural of an accepted answer',
  denied: 'an accepted phrase stands in it behind a negation',
  withoutSpaces: 'equal to an accepted answer without the spaces',
  moreIgnored: 'equal to an accepted answer if more differences were ignored',
  withoutSigns: 'equal to an accepted answer without its signs',
  typingErrors: 'a few typing errors from an accepted answer',
  sameBeginning: 'it begins like an accepted answer',
  shortName: 'a short form of an accepted answer',
  longName: 'an accepted answer with more words',
  otherForm: 'the right value in another form',
  otherUnit: 'the right value in another unit',
  powerOfTen: 'right apart from a factor of ten',
  notANumber: 'it cannot be read as a number',
  unknownUnit: 'its unit is unknown',
  missingUnit: 'the right value without its unit',
  percentSign: 'the right value with a percent sign',
  otherQuestion: 'right for another question of this quiz',
  patternUntried: 'the patterns of the key are too much work for it, so they were not tried',
};

/** Why an unmatched answer may be worth a look; with the form of the key that it is near to, where one is named. */
export const nearMissWords = (near: NearMiss, to: string | null = null): string =>
  to === null ? NEAR[near] : NEAR[near].replace('an accepted answer', `“${to}”`);
