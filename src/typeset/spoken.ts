// Before the speaker, which reads them when it is loaded.
import './speakerRules';
import sre from 'speech-rule-engine';

const withoutAccents = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '');

/**
 * Upright letters are units and names, not “normal” ones; a small ring as a power means degrees; the speaker spells words
 * with accents sign by sign.
 */
const asMeant = (mathml: string): string =>
  mathml
    .replaceAll(' mathvariant="normal"', '')
    .replace(/<mtext>[^<]*<\/mtext>/g, withoutAccents)
    .replace(/<msup>((?:(?!<msup>).)*?)<mo[^>]*>∘<\/mo><\/msup>/g, '<mrow>$1<mi>°</mi></mrow>');

/** A formula in MathML as it is read aloud, in English: `v equals s over t`. */
export async function spoken(mathml: string): Promise<string> {
  await sre.engineReady();
  return sre.toSpeech(asMeant(mathml)).replace(/\s+/g, ' ').trim().slice(0, 4000);
}
