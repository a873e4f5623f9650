import { expect, test } from '@playwright/test';

const HOLE =
  '/jobs/0192d0c0-0010-7000-8000-000000000001/holes/0192d0c0-0030-7000-8000-000000000001';

test('with letters twice as large, titles are whole and nothing runs off the side', async ({
  page,
}) => {
  await page.goto('/display');
  await page.getByTestId('text-scale').getByRole('radio', { name: 'Twice as large' }).click();
  const title = page.getByRole('heading', { level: 1 });
  await expect(title).toHaveCSS('font-size', '40px');
  for (const path of ['/', '/kit', '/log', HOLE, `${HOLE}/ready`, `${HOLE}/window`]) {
    await page.goto(path);
    await expect(title).toHaveCSS('font-size', '40px');
    const { cut, over } = await title.evaluate((element) => ({
      cut: element.scrollWidth - element.clientWidth,
      over: document.documentElement.scrollWidth - window.innerWidth,
    }));
    expect({ path, cut: cut > 1, over: over > 0 }).toEqual({ path, cut: false, over: false });
  }
});
