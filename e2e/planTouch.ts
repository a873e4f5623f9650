import { expect, type Locator, type Page } from '@playwright/test';

/** Where something stands on the screen, once it stands still: what loads late may push it on. */
export async function stillBox(of: Locator): Promise<Box> {
  await of.scrollIntoViewIfNeeded();
  const seen: string[] = [];
  const look = async (): Promise<boolean> => {
    seen.push(JSON.stringify(await of.boundingBox()));
    const last = seen.slice(-STILL_LOOKS);
    return last.length === STILL_LOOKS && last.every((one) => one === last[0] && one !== 'null');
  };
  await expect.poll(look, { intervals: [100] }).toBe(true);
  return JSON.parse(seen.at(-1) ?? '') as Box;
}

/** So many looks, a tenth of a second apart, must see the same place. */
const STILL_LOOKS = 4;

/** Where the plan stands on the screen. */
export const planBox = (page: Page): Promise<Box> => stillBox(page.getByTestId('plan-canvas'));

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
