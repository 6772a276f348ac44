import { expect, test } from './support';

test('the class list: edited in place, taken from a file after a look, taken off and put back', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Classes' }).click();
  await expect(page.getByText('26 students.')).toBeVisible();
  await page.getByLabel('Groups of Ada Marsh').fill('blue, choir');
  await page.getByLabel('Name of a new student').fill('Bela Fenn');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('Two have this name')).toHaveCount(2);
  await page.getByLabel('Number of Bela Fenn').last().focus();
  await page.keyboard.type('900');
  await expect(page.getByText('Same name as 802: told apart by that')).toBeVisible();

  const csv = 'Nummer;Student;Group\n801;Ada Marsh-Rill;blue\n804;Dina Ford;green\n950;Ny Åse;8D\n;;8D\n';
  await page
    .getByLabel('Class list file')
    .setInputFiles({ name: 'class.csv', mimeType: 'text/csv', buffer: Buffer.from(csv, 'latin1') });
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Column Nummer')).toHaveValue('ignored');
  await dialog.getByLabel('Column Nummer').selectOption('number');
  await expect(
    dialog.getByText('1 new student, 1 changed, 1 unchanged. Nobody will be removed.'),
  ).toBeVisible();
  await expect(dialog.getByText('was Ada Marsh · 801 · blue, choir')).toBeVisible();
  await expect(dialog.getByText('line 5: no name')).toBeVisible();
  await dialog.getByRole('button', { name: 'Import 2 students' }).click();
  await expect(page.getByText('28 students.')).toBeVisible();
  await expect(page.getByLabel('Name of Ny Åse')).toHaveValue('Ny Åse');

  await page.getByRole('button', { name: 'Remove Ada Marsh-Rill from the list' }).click();
  await expect(page.getByText('27 students.')).toBeVisible();
  await page.goto('/quiz/?id=demo-rivers#check');
  await expect(page.getByRole('rowheader', { name: 'Ada Marsh-Rill' })).toBeVisible();
  await page.goto('/class/');
  await page.getByRole('button', { name: 'Add back' }).click();
  await expect(page.getByText('28 students.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Groups of Ada Marsh-Rill')).toHaveValue('blue');
});
