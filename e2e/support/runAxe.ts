import { createRequire } from 'node:module';
import { readFile } from 'node:fs/promises';
import type { Page } from 'playwright-core';

const AXE = createRequire(import.meta.url).resolve('axe-core/axe.min.js');
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

interface AxeFinding {
  readonly id: string;
  readonly impact: string;
  readonly nodes: readonly { readonly html: string; readonly failureSummary: string }[];
}

interface AxeWindow {
  readonly axe?: { run: (where: Document, options: object) => Promise<{ violations: AxeFinding[] }> };
}

/** What axe-core finds on the page as it stands, a line each, by WCAG 2.2 AA. */
export async function runAxe(page: Page, weight: 'serious' | 'any'): Promise<string[]> {
  // Runs in the page's own world: the content policy lets no script tag in.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(await readFile(AXE, 'utf8'));
  const violations = await page.evaluate(
    async (rules) => (await (window as unknown as AxeWindow).axe!.run(document, { runOnly: rules })).violations,
    RULES,
  );
  return violations
    .filter((one) => weight === 'any' || one.impact === 'serious' || one.impact === 'critical')
    .map(
      (one) => `${one.id}: ${one.nodes.map((node) => `${node.html.slice(0, 120)} ${node.failureSummary}`).join(' ; ')}`,
    );
}
