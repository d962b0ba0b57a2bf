/** Fills the folder that SARDONYX_TEST_DEMO names, so that suites beside one another need not each draw its photographs. */
import { seedTemplate } from './createTestBench.ts';

await seedTemplate();
