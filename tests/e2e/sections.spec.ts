import { expectAccessibleHere } from './accessible';
import { fits } from './fits';
import { drawing, expect, goTo, newQuiz, openIt, outAndIn, pageOf, saved, test } from './support';
import { come } from './come';
import { silence } from './silence';

test(
  'a section with a map and a sound above three questions: kept beside them on a phone, out and in as a file',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await newQuiz(page, 'The map of the Alder', 'True or false');
    const text = (number: number) => page.getByRole('textbox', { name: `Text of question ${number}` });
    await text(1).fill('A river has one mouth.');
    await page.getByRole('button', { name: 'Add a section' }).click();
    await expect(page.getByLabel('Heading of the section')).toBeFocused();
    await page.keyboard.type('The map');
    const section = page.getByRole('region', { name: 'Section The map' });
    await section.getByRole('textbox', { name: 'Text of the section' }).fill('Look at the map of the Alder.');
    await section.getByRole('button', { name: 'Format the text' }).click();
    await section.getByRole('button', { name: 'Picture' }).click();
    await page.getByLabel('Picture file').setInputFiles({
      name: 'map.png',
      mimeType: 'image/png',
      buffer: await drawing(page, 600, 400),
    });
    await page.getByLabel('Description, read aloud to students').fill('A map of the Alder');
    await page.getByRole('button', { name: 'Insert picture' }).click();
    await section.getByRole('button', { name: 'Add a sound or a video' }).click();
    const files = page.getByLabel('Sound or video file');
    await files.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('rivers') });
    await expect(section.getByRole('alert')).toContainText('This file type is not supported.');
    await files.setInputFiles({ name: 'big.mp3', mimeType: 'audio/mpeg', buffer: Buffer.alloc(20_000_001) });
    await expect(section.getByRole('alert')).toContainText('The file is 20 MB; the most is 20 MB.');
    await files.setInputFiles({ name: 'The weir.wav', mimeType: 'audio/wav', buffer: silence() });
    await expect(section.getByLabel('Name of file 1')).toHaveValue('The weir');
    await expect(section.getByText('0.1 MB')).toBeVisible();
    await section.getByLabel('What is said and shown in The weir').fill('Water falls over a weir.');
    await saved(page);
    for (const number of [2, 3, 4]) {
      await page.getByRole('button', { name: 'Next question: true or false' }).click();
      await text(number).fill(`The map shows thing ${number}.`);
      await page
        .getByRole('region', { name: `Question ${number} in hand` })
        .getByRole('button', { name: 'True is right' })
        .click();
    }
    await saved(page);
    await expect(page.getByText('4 questions · 4 points')).toBeVisible();
    await expectAccessibleHere(page, 'a section in Write');
    // The section moves by keys; deleted, its questions stay, and it comes back.
    await section.getByRole('button', { name: 'Delete the section The map' }).click();
    await expect(section).toHaveCount(0);
    await expect(page.getByText('4 questions · 4 points')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).last().click();
    await expect(section.getByLabel('Name of file 1')).toHaveValue('The weir');

    await openIt(page);
    await goTo(page, 'Tray');
    const sit = await pageOf(page, 'Ada Marsh');
    await sit.setViewportSize({ width: 360, height: 740 });
    await sit.getByRole('button', { name: 'Begin' }).click();
    await expect(sit.getByRole('heading', { name: 'A river has one mouth.' })).toBeVisible();
    const beside = sit.getByRole('region', { name: 'The map' });
    await expect(beside).toHaveCount(0);
    await sit.getByRole('radio', { name: 'True' }).check();
    await sit.getByRole('button', { name: 'Next' }).click();
    for (const number of [2, 3, 4]) {
      await expect(sit.getByRole('heading', { name: `The map shows thing ${number}.` })).toBeVisible();
      await expect(beside.getByRole('img', { name: 'A map of the Alder' })).toBeVisible();
      await expect(beside.getByText('Look at the map of the Alder.')).toBeVisible();
      if (number === 3) {
        await fits(sit, 'a question below a map');
        await expectAccessibleHere(sit, 'a question below a map');
        await expect(sit.locator('audio')).toHaveAttribute('aria-label', 'The weir');
        const length = () => sit.locator('audio').evaluate((sound) => (sound as HTMLAudioElement).duration);
        await expect.poll(length).toBe(1);
        await beside.getByText('What is said').click();
        await expect(beside.getByText('Water falls over a weir.')).toBeVisible();
        // Folded it leaves the screen to the question; it can be had again.
        await beside.getByRole('button', { name: 'Hide The map' }).click();
        await expect(beside.getByRole('img')).toBeHidden();
        await beside.getByRole('button', { name: 'Show The map' }).click();
      }
      await sit.getByRole('radio', { name: 'True' }).check();
      await sit.getByRole('button', { name: /^(Next|Review and hand in)$/ }).click();
    }
    await sit.getByRole('button', { name: 'Hand in', exact: true }).click();
    await expect(sit.getByText('It has been received.')).toBeVisible();

    // Out and in: the section is there with its picture and its sound.
    await outAndIn(page, 'The map of the Alder');
    await page.getByRole('button', { name: 'Add it as a copy' }).click();
    await expect(
      page.getByRole('region', { name: 'Section The map' }).getByLabel('Name of file 1'),
    ).toHaveValue('The weir');
    await expect(page.getByRole('img', { name: 'A map of the Alder' })).toBeVisible();
  },
);

test(
  'pages that begin where they are set, and a whole quiz on one page',
  { tag: '@long' },
  async ({ page }) => {
    test.setTimeout(90_000);
    await newQuiz(page, 'Pages of the river', 'True or false');
    const text = (number: number) => page.getByRole('textbox', { name: `Text of question ${number}` });
    await text(1).fill('Thing 1.');
    for (const number of [2, 3]) {
      await page.getByRole('button', { name: 'Next question: true or false' }).click();
      await text(number).fill(`Thing ${number}.`);
    }
    await (await come(page, 'Pages')).selectOption('breaks');
    await (await come(page, 'Where its page begins')).selectOption('true');
    await saved(page);
    const trial = async () => {
      const [opened] = await Promise.all([
        page.context().waitForEvent('page'),
        page.getByRole('link', { name: 'Try it as a student' }).first().click(),
      ]);
      await opened.getByRole('button', { name: 'Begin' }).click();
      return opened;
    };
    const broken = await trial();
    await expect(broken.getByRole('heading', { name: 'Thing 1.' })).toBeVisible();
    await expect(broken.getByRole('heading', { name: 'Thing 2.' })).toBeVisible();
    await expect(broken.getByRole('heading', { name: 'Thing 3.' })).toHaveCount(0);
    await broken.getByRole('button', { name: 'Next' }).click();
    await expect(broken.getByRole('heading', { name: 'Thing 3.' })).toBeFocused();
    await expect(broken.getByRole('heading', { name: 'Thing 1.' })).toHaveCount(0);
    // What is missing is gone to, wherever it stands.
    await broken.getByRole('button', { name: 'Review and hand in' }).click();
    await broken.getByRole('button', { name: '2 Thing 2.' }).click();
    await expect(broken.getByRole('heading', { name: 'Thing 2.' })).toBeFocused();
    await expectAccessibleHere(broken, 'two questions on a page');
    await broken.close();

    await (await come(page, 'Pages')).selectOption('one');
    await saved(page);
    const whole = await trial();
    for (const number of [1, 2, 3])
      await expect(whole.getByRole('heading', { name: `Thing ${number}.` })).toBeVisible();
    await expect(whole.getByRole('button', { name: 'Review and hand in' })).toBeVisible();
    // On a phone, in its frame: a page of its own, begun anew.
    await whole.getByText('Phone', { exact: true }).click();
    const phone = whole.frameLocator('iframe[title="The quiz on a phone"]');
    await phone.getByRole('button', { name: 'Begin' }).click();
    await expect(phone.getByRole('heading', { name: 'Thing 3.' })).toBeAttached();
    await whole.getByRole('button', { name: 'Start again' }).click();
    await expect(phone.getByRole('button', { name: 'Begin' })).toBeVisible();
  },
);
