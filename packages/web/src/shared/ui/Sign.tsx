import {
  BegunIcon,
  CareIcon,
  CheckIcon,
  ClockIcon,
  CloseIcon,
  DoneIcon,
  DoubtIcon,
  AlteredIcon,
  EqualIcon,
  GradeIcon,
  LeftIcon,
  LentIcon,
  MinusIcon,
  NeverIcon,
  NextIcon,
  OpenIcon,
  PinIcon,
  RightIcon,
  SoundIcon,
  StopIcon,
  UnknownIcon,
  WarningIcon,
} from './icons.ts';

const SIGNS = {
  warning: WarningIcon,
  stop: StopIcon,
  open: OpenIcon,
  begun: BegunIcon,
  done: DoneIcon,
  'left out': MinusIcon,
  never: NeverIcon,
  care: CareIcon,
  check: CheckIcon,
  clock: ClockIcon,
  next: NextIcon,
  left: LeftIcon,
  right: RightIcon,
  even: EqualIcon,
  neither: CloseIcon,
  unknown: UnknownIcon,
  lent: LentIcon,
  pin: PinIcon,
  grade: GradeIcon,
  altered: AlteredIcon,
  doubtful: DoubtIcon,
  original: SoundIcon,
} as const;

export type SignName = keyof typeof SIGNS;

/** A sign in a line of words, as high as they are; the words beside it say the same. */
export function Sign({ of }: { readonly of: SignName }) {
  const Icon = SIGNS[of];
  return <Icon aria-hidden className="mr-[0.3em] inline-block size-[1.05em] shrink-0 align-[-0.15em]" />;
}
