/** The bench runs left to right; a job passes these in order. */
export const STATIONS = ['identify', 'survey', 'open', 'strip', 'finish', 'close', 'sign-off'] as const;
export type Station = (typeof STATIONS)[number];

export const STATION_LABELS: Readonly<Record<Station, string>> = {
  identify: 'Identify',
  survey: 'Survey',
  open: 'Open',
  strip: 'Strip & mend',
  finish: 'Finish',
  close: 'Close',
  'sign-off': 'Sign off',
};
