import type { Page } from '@playwright/test';
import { englishIn } from '../onlyEnglish';
import { LONG } from '../runs';
import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { come } from './come';
import { beginIn } from './inLanguage';
import { expect, openDemo, test } from './support';

const LANGUAGES = {
  de: { words: ['Flussschleifendurchbruchswassergeschwindigkeitsmessgerätehaltervorrichtungen', 'Mäander', 'Delta'], begin: 'Anfangen', next: 'Weiter', review: 'Prüfen und abgeben', handIn: 'Abgeben', hint: /^Tipp zeigen/ },
  fr: { words: ['méandre', 'embouchure', 'delta'], begin: 'Commencer', next: 'Suivant', review: 'Vérifier et rendre', handIn: 'Rendre ma copie', hint: /^Montrer un indice/ },
  es: { words: ['meandro', 'desembocadura', 'delta'], begin: 'Empezar', next: 'Siguiente', review: 'Revisar y entregar', handIn: 'Entregar', hint: /^Mostrar una pista/ },
  pt: { words: ['meandro', 'foz', 'delta'], begin: 'Começar', next: 'Seguinte', review: 'Rever e entregar', handIn: 'Entregar', hint: /^Mostrar uma pista/ },
  nl: { words: ['meander', 'monding', 'delta'], begin: 'Beginnen', next: 'Volgende', review: 'Nakijken en inleveren', handIn: 'Inleveren', hint: /^Toon een tip/ },
  it: { words: ['meandro', 'foce', 'delta'], begin: 'Comincia', next: 'Avanti', review: 'Controlla e consegna', handIn: 'Consegna', hint: /^Mostra un aiuto/ },
  ar: { words: ['نهر متعرج', 'دلتا', 'مصب'], begin: 'Begin', next: 'Next', review: 'Review and hand in', handIn: 'Hand in', hint: /^Show a hint/ },
} as const; // prettier-ignore

test('results are printed in the language of their quiz, at its decimal sign', async ({ page }) => {
  await openDemo(page, 'write');
  await (await come(page, 'Language of the answers')).selectOption('de');
  await (await come(page, 'Decimal sign of the answers')).selectOption('comma');
  await expect(page.getByText('2 changes not applied')).toBeVisible();
  const apply = page.getByRole('button', { name: 'Apply to all' });
  await expect(apply).toBeEnabled();
  await apply.press('Enter');
  await expect(page.getByText('Everyone is marked by the new key')).toBeVisible();
  await page.goto('/print/?quiz=demo-rivers&right=with');
  const results = page.getByRole('region', { name: 'Results of ' }).first();
  await expect(results.getByText('Deine Antwort').first()).toBeVisible();
  await expect(results.getByText('Richtige Antwort').first()).toBeVisible();
  expect(await results.evaluate((one) => one.querySelector('[lang]')?.getAttribute('lang'))).toBe('de');
  const words = (await results.innerText()).split('\n');
  expect(words.filter((line) => /\b(points|Your answer|right answer|Handed in|of \d)\b/i.test(line))).toEqual(
    [],
  );
});

/** What a page says in words, without those that only screen readers read. */
const wordsOf = (page: Page): Promise<string> => page.locator('main').innerText();

for (const language of Object.keys(LANGUAGES) as (keyof typeof LANGUAGES)[]) {
  const { words, begin, next, review, handIn, hint } = LANGUAGES[language];
  // The one with the longest words stands for all in the short run.
  const tag = language === 'de' ? [] : ['@long'];
  test(
    `a question of every kind in ${language}: told in its language, read in its direction, no wider than a phone`,
    {
      tag,
    },
    async ({ page }) => {
      test.setTimeout(120_000);
      await beginIn(page, language, words, begin);
      const isRtl = language === 'ar';
      for (let at = 1; at <= 13; at++) {
        const heading = page.getByRole('heading', { level: 1 });
        await expect(heading).toBeFocused();
        const text = heading.locator('p').first();
        await expect(text).toHaveText(`${words[0]}.`);
        expect(await text.evaluate((one) => [one.closest('[lang]')?.getAttribute('lang'), getComputedStyle(one).direction])).toEqual([language, isRtl ? 'rtl' : 'ltr']); // prettier-ignore
        if (at === 2) {
          await page.getByRole('button', { name: hint }).click();
          await expect(page.getByText(words[2]).last()).toBeVisible();
          const first = page.getByRole('radio').first();
          const label = await first.evaluate((one) => {
            const box = one.getBoundingClientRect();
            const frame = one.closest('label')?.getBoundingClientRect();
            return frame ? box.left - frame.left > frame.width / 2 : null;
          });
          expect(label, 'the circle stands where the reader begins').toBe(isRtl);
          await first.check();
        }
        await fits(page, `${language}, page ${at}`);
        if (!isRtl) expect(englishIn(await wordsOf(page), language)).toEqual([]);
        if (LONG) await expectAccessibleHere(page, `${language}, page ${at}`);
        await page.getByRole('button', { name: at === 13 ? review : next, exact: true }).click();
      }
      await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
      await fits(page, `${language}, before handing in`);
      if (!isRtl) expect(englishIn(await wordsOf(page), language)).toEqual([]);
      await page.getByRole('button', { name: handIn, exact: true }).click();
      await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
      await fits(page, `${language}, results`);
      if (!isRtl) expect(englishIn(await wordsOf(page), language)).toEqual([]);
      await expectAccessibleHere(page, `${language}, results`);
      expect(await page.evaluate(() => document.documentElement.lang)).toBe(isRtl ? 'en' : language);
    },
  );
}
