/** When the clock of the demo starts in tests and pictures: what is shared is filled at this time. */
export const DEMO_NOW = '2026-11-25T18:30:00Z';
