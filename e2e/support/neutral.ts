import type { Page } from 'playwright-core';
import sharp from 'sharp';

/** So far from a swatch nothing may have a hue. */
const NEAR_PX = 48;

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * Pixels with a hue outside every swatch: near one (or, while judging, anywhere in the frame). Read from a picture of the
 * window, so that it counts what is seen and not what was meant.
 */
export async function findHue(page: Page, where: 'near swatches' | 'whole frame'): Promise<string[]> {
  const boxes = await page.evaluate((): Box[] =>
    [...document.querySelectorAll('[data-swatch]')].map((swatch) => {
      const { left, top, right, bottom } = swatch.getBoundingClientRect();
      return { left, top, right, bottom };
    }),
  );
  const seen = boxes.filter((box) => box.right > box.left);
  if (seen.length === 0) throw new Error('There is no swatch on this page.');
  const { data, info } = await sharp(await page.screenshot())
    .raw()
    .toBuffer({ resolveWithObject: true });
  const isWithin = (x: number, y: number, box: Box, by: number) =>
    x >= box.left - by && x < box.right + by && y >= box.top - by && y < box.bottom + by;
  const faults: string[] = [];
  for (let y = 0; y < info.height; y++)
    for (let x = 0; x < info.width; x++) {
      const at = (y * info.width + x) * info.channels;
      if (data[at] === data[at + 1] && data[at] === data[at + 2]) continue;
      // A swatch's own edge may fall between two pixels.
      if (seen.some((box) => isWithin(x, y, box, 1))) continue;
      if (where === 'near swatches' && !seen.some((box) => isWithin(x, y, box, NEAR_PX))) continue;
      faults.push(`${x},${y}: ${data[at]} ${data[at + 1]} ${data[at + 2]}`);
    }
  return faults;
}
