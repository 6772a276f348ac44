import base from 'speech-rule-engine/lib/mathmaps/base.json';
import en from 'speech-rule-engine/lib/mathmaps/en.json';

/**
 * How the speaker is to be set up. It reads this when it is first loaded, and would else fetch its rules from elsewhere:
 * they ship with the application, and nothing is fetched. To be imported before it.
 */

const RULES: Readonly<Record<string, unknown>> = { base, en };

Object.assign(globalThis, {
  SREfeature: {
    locale: 'en',
    domain: 'clearspeak',
    modality: 'speech',
    custom: (name: string) => Promise.resolve(JSON.stringify(RULES[name] ?? {})),
  },
});
