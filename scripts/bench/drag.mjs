/** Frames a second while one of 200 holes is dragged over a piece, on a wide screen. */
import { CHROMIUM_ARGS, CHROMIUM_PATH, WIDE } from '../setup/chromium.mjs';

const ACROSS = 20;
const UP = 10;
const PITCH_MM = 40;
const SECONDS = 4;

/** A pane of 200 holes, and the page where it is laid out. */
async function paneOfHoles(address, demo) {
  const [piece] = demo.pieces;
  const holes = Array.from({ length: ACROSS * UP }, (_, index) => ({
    ...piece.holes[0],
    id: `drag${index}`,
    diameterMm: 12,
    xMm: PITCH_MM * (1 + (index % ACROSS)),
    yMm: PITCH_MM * (1 + Math.floor(index / ACROSS)),
  }));
  const outline = {
    kind: 'rectangle',
    widthMm: PITCH_MM * (ACROSS + 1),
    heightMm: PITCH_MM * (UP + 1),
  };
  const response = await fetch(`${address}/api/v1/import`, {
    method: 'POST',
    body: JSON.stringify({
      ...demo,
      job: { id: 'drag', name: 'Drag' },
      pieces: [{ ...piece, outline, id: 'p', holes }],
    }),
    headers: { 'content-type': 'application/json' },
  });
  if (!response.ok) throw new Error(await response.text());
  const { jobId } = await response.json();
  const job = await (await fetch(`${address}/api/v1/jobs/${jobId}`)).json();
  return `${address}/jobs/${jobId}/pieces/${job.pieces[0].id}/place`;
}

export async function benchDrag(address, demo) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({ executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS });
  try {
    const page = await browser.newPage({ viewport: WIDE });
    await page.goto(await paneOfHoles(address, demo));
    const box = await page.getByTestId('plan-canvas').boundingBox();
    const [midX, midY] = [box.x + box.width / 2, box.y + box.height / 2];
    const moving = page.evaluate(
      (ms) =>
        new Promise((done) => {
          let frames = 0;
          const began = performance.now();
          const tick = (now) => {
            frames += 1;
            if (now - began < ms) globalThis.requestAnimationFrame(tick);
            else done((1000 * frames) / (now - began));
          };
          globalThis.requestAnimationFrame(tick);
        }),
      SECONDS * 1000,
    );
    // From the hole nearest the middle, round and round.
    const scale = (box.height - 68) / (PITCH_MM * (UP + 1));
    const wide = (box.width - 68) / (PITCH_MM * (ACROSS + 1));
    const k = Math.min(scale, wide);
    await page.mouse.move(midX - (PITCH_MM / 2) * k, midY - (PITCH_MM / 2) * k);
    await page.mouse.down();
    const until = Date.now() + SECONDS * 1000;
    for (let step = 0; Date.now() < until; step++)
      await page.mouse.move(midX + 90 * Math.cos(step / 9), midY + 70 * Math.sin(step / 9));
    await page.mouse.up();
    const carried = await page.getByTestId('save-mark').innerText();
    return { framesPerS: await moving, moved: !/^Saved$/.test(carried.trim()) };
  } finally {
    await browser.close();
  }
}
