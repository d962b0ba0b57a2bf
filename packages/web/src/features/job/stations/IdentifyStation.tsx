import {
  describeVerdict,
  QUESTIONS,
  WORTH_A_LOOK_BITS,
  type IdentifyCatalogue,
  type NextLook,
  type Question,
} from '@sardonyx/core';
import { useState } from 'react';
import { Radios } from '../../../shared/ui/Radios.tsx';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { useIdentification } from '../useIdentification.ts';
import { Verdict, Zones } from '../Zones.tsx';
import { CompareExamples } from './identify/CompareExamples.tsx';
import { DateRuler } from './identify/DateRuler.tsx';
import { EarlierJobs } from './identify/EarlierJobs.tsx';
import { EvidenceList } from './identify/EvidenceList.tsx';
import { LookPoints } from './identify/LookPoints.tsx';
import { NothingKnown } from './identify/NothingKnown.tsx';
import { MindChangers } from './identify/MindChangers.tsx';
import { Originality } from './identify/Originality.tsx';
import { RankedVariants } from './identify/RankedVariants.tsx';
import { Settled } from './identify/Settled.tsx';
import { Sizes } from './identify/Sizes.tsx';
import { Statements } from './identify/Statements.tsx';
import { StopNotice } from './identify/StopNotice.tsx';

const QUESTION_WORDS: Readonly<Record<Question, string>> = {
  variant: 'Which issue is it?',
  date: 'When was it made?',
  original: 'Is it all original?',
};

/** Which issue is it, when was it made, is it original, should it be left alone: looks on the model, the verdict beside. */
export function IdentifyStation() {
  const [featureId, setFeatureId] = useState<string | null>(null);
  const [question, setQuestion] = useState<Question>('variant');
  const { report, catalogue, isStale, problem } = useIdentification(question);
  const isBlank = catalogue.variants.length === 0;
  const lead = (
    <div className="space-y-4" aria-busy={isStale}>
      {problem && <EmptyNote title="This could not be worked out.">{problem}</EmptyNote>}
      {!report && !problem && <p role="status">Weighing what was seen ...</p>}
      {report && (
        <>
          <Verdict
            rest={
              isBlank ? (
                <NothingKnown />
              ) : (
                <NextLookLine
                  {...{ catalogue, question }}
                  looks={report.looks}
                  onQuestion={setQuestion}
                  onChoose={setFeatureId}
                />
              )
            }
          >
            <span aria-live="polite">
              {describeVerdict(report.identification, catalogue).replace(/ %/g, '\u00a0%')}
            </span>
          </Verdict>
          <StopNotice stop={report.stop} catalogue={catalogue} onChoose={setFeatureId} />
        </>
      )}
    </div>
  );
  const looks = report?.looks ?? [];
  return (
    <Zones
      isSticky={false}
      lead={lead}
      model={
        <LookPoints
          {...{ catalogue, looks }}
          measured={report?.identification.measured ?? {}}
          chosen={featureId}
          onChoose={setFeatureId}
        />
      }
    >
      {report && !isBlank && (
        <>
          <DateRuler identification={report.identification} catalogue={catalogue} />
          <RankedVariants identification={report.identification} catalogue={catalogue} />
          <Sizes measures={catalogue.measures} />
          <Originality identification={report.identification} catalogue={catalogue} />
          <EvidenceList identification={report.identification} catalogue={catalogue} />
          <MindChangers mindChangers={report.mindChangers} catalogue={catalogue} onChoose={setFeatureId} />
          <Settled identification={report.identification} catalogue={catalogue} />
        </>
      )}
      <EarlierJobs />
      {report && (
        <>
          <Statements />
          <CompareExamples />
        </>
      )}
      <TaskList station="identify" />
    </Zones>
  );
}

interface NextLookLineProps {
  readonly catalogue: IdentifyCatalogue;
  readonly looks: readonly NextLook[];
  readonly question: Question;
  readonly onQuestion: (question: Question) => void;
  readonly onChoose: (featureId: string) => void;
}

/** The question to be settled, and the look that settles most of it for the least effort. */
function NextLookLine({ catalogue, looks, question, onQuestion, onChoose }: NextLookLineProps) {
  const [next] = looks;
  const label = [...catalogue.features, ...catalogue.measures].find((look) => look.id === next?.featureId)?.label;
  const isWorth = next !== undefined && next.gainBits >= WORTH_A_LOOK_BITS;
  return (
    <>
      <Radios
        label="Which question to settle first"
        look="unseen"
        value={question}
        options={QUESTIONS.map((one) => ({ value: one, label: QUESTION_WORDS[one] }))}
        onChange={onQuestion}
      />
      {isWorth && label ? (
        <span>
          Look next at{' '}
          <button
            type="button"
            className="font-semibold text-ink underline underline-offset-4"
            onClick={() => onChoose(next.featureId)}
          >
            {label.toLowerCase()}
          </button>
          : worth <span className="figure">{next.gainBits.toFixed(1)}</span> bits on average
          {next.destroys && `, but it destroys ${next.destroys}`}.
        </span>
      ) : (
        <span>No look is left that would tell much about it.</span>
      )}
    </>
  );
}
