import type { LogWet, MixView } from '@sardonyx/contract';
import { EYE_WAYS, eyeOf, measureByEye, STEPS, type Eye, type EyeWord, type Lab } from '@sardonyx/core';
import { useState } from 'react';
import { Toggles } from '../../../shared/ui/Toggles.tsx';
import { Slider } from '../../../shared/ui/Slider.tsx';
import { useLogMixStepMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { useColourBench } from '../ColourContext.tsx';
import { MeetingSwatches } from '../swatch/MeetingSwatches.tsx';
import { useNeutral } from '../swatch/useNeutral.ts';

interface JudgeByEyeProps {
  readonly mix: MixView;
  readonly what: 'dry' | 'wet';
  /** As the mix should look now; null where nobody can say. */
  readonly expected: Lab | null;
  readonly onDone: () => void;
}

const NONE: EyeWord = { step: 'none', way: 1 };
const CHOICES: readonly EyeWord[] = [
  ...[...STEPS]
    .slice(1)
    .reverse()
    .map((step): EyeWord => ({ step, way: -1 })),
  NONE,
  ...STEPS.slice(1).map((step): EyeWord => ({ step, way: 1 })),
];
const STEP_WORDS: Readonly<Record<EyeWord['step'], string>> = {
  none: 'the same',
  slight: 'slightly',
  clear: 'clearly',
  strong: 'strongly',
};
const TITLES = ['Light or dark', 'Red or green', 'Yellow or blue'] as const;

const indexOf = ({ step, way }: EyeWord) =>
  CHOICES.findIndex((one) => one.step === step && (step === 'none' || one.way === way));

function sayWord({ step, way }: EyeWord, at: number): string {
  const { more, less } = EYE_WAYS[at]!;
  return step === 'none' ? STEP_WORDS.none : `${STEP_WORDS[step]} ${way > 0 ? more : less}`;
}

/** The patch beside the old paint, in words; everything else on the screen has lost its colour. */
export function JudgeByEye({ mix, what, expected, onDone }: JudgeByEyeProps) {
  useNeutral(true);
  const [who] = useWho();
  const { shelf } = useColourBench();
  const eye = eyeOf(shelf.eyes, who);
  const [words, setWords] = useState<readonly [EyeWord, EyeWord, EyeWord]>([NONE, NONE, NONE]);
  const [unsure, setUnsure] = useState(20);
  const [log, { error, isLoading }] = useLogMixStepMutation();
  const set = (at: number, word: EyeWord) =>
    setWords(words.map((one, i) => (i === at ? word : one)) as unknown as typeof words);
  const save = async () => {
    const [lightness, redGreen, yellowBlue] = words;
    const read = measureByEye(mix.target, { lightness, redGreen, yellowBlue }, unsure / 100, eye);
    const lab = [...read.lab] as [number, number, number];
    const sd = [...read.sd] as [number, number, number];
    const seen = { lab, sd, how: 'by eye', who } as const;
    const body = { ...seen, words: [{ ...lightness }, { ...redGreen }, { ...yellowBlue }] } satisfies LogWet;
    const { data } = await log({ mixId: mix.id, path: what === 'wet' ? 'wet' : 'patches', body });
    if (data) onDone();
  };
  return (
    <section aria-label="Judge by eye" className="space-y-4">
      <div>
        <p className="text-act font-semibold">Hold the {what} patch to the old paint. Against it, the patch is ...</p>
        <p className="text-note text-soft-ink">
          {what === 'wet' && 'What wet paint becomes when it dries is taken off by itself. '}
          {describeEye(eye)}
        </p>
      </div>
      <div className="grid gap-8 min-[1100px]:grid-cols-2">
        <MeetingSwatches
          target={mix.target}
          mix={expected}
          targetWord="wanted, as captured"
          mixWord="as the mix should look now"
        />
        <div className="space-y-4">
          {TITLES.map((title, at) => (
            <div key={title} className="space-y-1">
              <p className="font-semibold">{title}</p>
              <Toggles
                aria-label={title}
                size="w-[4.9rem] min-h-12 text-note"
                value={indexOf(words[at]!)}
                options={CHOICES.map((word, i) => ({ value: i, label: sayWord(word, at) }))}
                onChange={(i) => set(at, CHOICES[i]!)}
              />
            </div>
          ))}
          <div className="max-w-md">
            <span aria-hidden className="flex justify-between text-note">
              <span>sure</span>
              <span>unsure</span>
            </span>
            <Slider label="How unsure" min={0} max={100} step={10} value={unsure} onChange={setUnsure} />
          </div>
          <div className="flex flex-wrap gap-3">
            <button type="button" className="main-button min-h-16!" disabled={isLoading} onClick={() => void save()}>
              That is how it looks
            </button>
            <button type="button" className="plain-button min-h-16!" onClick={onDone}>
              Not yet
            </button>
          </div>
          {error !== undefined && <ErrorNote error={readAppError(error)} />}
        </div>
      </div>
    </section>
  );
}

/** What this eye sees otherwise than an instrument, and from how many patches that is known. */
function describeEye({ bias, pairs }: Eye): string {
  if (pairs === 0) return 'Judge a patch and measure it too: what your eye always sees otherwise is learned from that.';
  const [l, a, b] = bias.map((one) => `${one < 0 ? '−' : '+'}${Math.abs(one).toFixed(1)}`);
  return `Your eye reads L* ${l}, a* ${a}, b* ${b} beside the instrument (${pairs === 1 ? 'one patch' : `${pairs} patches`}); that is taken off.`;
}
