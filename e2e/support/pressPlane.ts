import type { Page } from 'playwright-core';

/** Presses a place of the plane that is open on the page, in its own millimetres. */
export async function pressPlane(page: Page, x: number, y: number): Promise<void> {
  const at = await page.evaluate(
    ([px, py]) => {
      const plane = document.querySelector<SVGGElement>('[role="application"] [data-plane]')!;
      const { x: left, y: top } = new DOMPoint(px, py).matrixTransform(plane.getScreenCTM()!);
      return { left, top };
    },
    [x, y] as const,
  );
  await page.mouse.click(at.left, at.top);
}
