import { expect, type Locator, type Page } from '@playwright/test';

/** Where the plan stands on the screen. */
export async function planBox(page: Page) {
  const plan = page.getByTestId('plan-canvas');
  await expect(plan).toBeVisible();
  const box = await plan.boundingBox();
  if (!box) throw new Error('the plan is not on the screen');
  return box;
}

const STEPS = 12;

/** Drags across the plan by finger where there is one, else by mouse; places are shares of the plan. */
export async function dragOnPlan(
  page: Page,
  from: readonly [number, number],
  to: readonly [number, number],
  hasTouch: boolean,
): Promise<void> {
  await dragWithin(page, await planBox(page), from, to, hasTouch);
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Drags between two places of a box, given as shares of it. */
export async function dragWithin(
  page: Page,
  box: Box,
  from: readonly [number, number],
  to: readonly [number, number],
  hasTouch: boolean,
): Promise<void> {
  const at = (share: number): readonly [number, number] => [
    box.x + box.width * (from[0] + (to[0] - from[0]) * share),
    box.y + box.height * (from[1] + (to[1] - from[1]) * share),
  ];
  const steps = Array.from({ length: STEPS }, (_, i) => at((i + 1) / STEPS));
  if (!hasTouch) {
    await page.mouse.move(...at(0));
    await page.mouse.down();
    for (const step of steps) await page.mouse.move(...step);
    await page.mouse.up();
    return;
  }
  const session = await page.context().newCDPSession(page);
  const touch = (
    type: 'touchStart' | 'touchMove' | 'touchEnd',
    place?: readonly [number, number],
  ) =>
    session.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: place ? [{ x: place[0], y: place[1] }] : [],
    });
  await touch('touchStart', at(0));
  for (const step of steps) await touch('touchMove', step);
  await touch('touchEnd');
  await session.detach();
}

/** Taps a place of the plan, given as shares of it. */
export async function tapPlan(
  page: Page,
  [x, y]: readonly [number, number],
  hasTouch: boolean,
): Promise<void> {
  const box = await planBox(page);
  const place = [box.x + box.width * x, box.y + box.height * y] as const;
  await (hasTouch ? page.touchscreen.tap(...place) : page.mouse.click(...place));
}

/** A length as its box shows it, mm. */
export const shownMm = async (box: Locator): Promise<number> =>
  Number.parseFloat(await box.inputValue());
