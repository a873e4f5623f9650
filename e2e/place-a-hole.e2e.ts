import { expect, test } from '@playwright/test';
import { isSaved, openFold, ownJob } from './demoJob';

test('a hole moved too near a corner says which rule binds, and by how much', async ({
  page,
  request,
}, info) => {
  const jobId = await ownJob(request, '1-dial-house', `Place ${info.project.name}`);
  await page.goto(`/jobs/${jobId}`);
  await page.getByTestId('hole-Cable').click();
  await openFold(page, 'hole');
  await expect(page.getByTestId('edges')).toContainText('Six thicknesses to a corner, glass');
  await expect(page.getByTestId('too-near')).toBeHidden();
  await page.getByTestId('place-x').fill('12');
  await page.getByTestId('place-y').fill('12');
  // 4 mm glass, 8 mm hole: 12·√2 − 4 = 13 mm of the 24 wanted; to the edge 8 of 8.
  await expect(page.getByTestId('too-near')).toContainText(
    'Six thicknesses to a corner, glass: 13 mm here, 24 mm wanted.',
  );
  await expect(page.getByTestId('edges')).toContainText('this one applies');
  await isSaved(page);
  await page.getByTestId('undo').click();
  await page.getByTestId('undo').click();
  await expect(page.getByTestId('too-near')).toBeHidden();
});
