import { describeVerdict } from '@sardonyx/core';
import { useState } from 'react';
import { TaskList } from '../TaskList.tsx';
import { useIdentification } from '../useIdentification.ts';
import { Verdict, Zones } from '../Zones.tsx';
import { DateRuler } from './identify/DateRuler.tsx';
import { EvidenceList } from './identify/EvidenceList.tsx';
import { LookPoints } from './identify/LookPoints.tsx';
import { RankedVariants } from './identify/RankedVariants.tsx';

/** Below this a look tells the variants apart too little to be named. */
const WORTH_A_LOOK_BITS = 0.05;

/** Which issue is it, when was it made: look-points on the model, the verdict beside them. */
export function IdentifyStation() {
  const known = useIdentification();
  const { catalogue, identification, looks } = known;
  const [featureId, setFeatureId] = useState<string | null>(null);
  const chosen = featureId ?? looks[0]?.featureId ?? catalogue.features[0]?.id ?? null;
  const next = looks.find((look) => look.gainBits > WORTH_A_LOOK_BITS);
  const nextFeature = catalogue.features.find((feature) => feature.id === next?.featureId);
  return (
    <Zones model={<LookPoints {...known} chosen={chosen} onChoose={setFeatureId} />}>
      <Verdict
        rest={
          nextFeature ? (
            <>
              Look next at{' '}
              <button
                type="button"
                className="underline underline-offset-4"
                onClick={() => setFeatureId(nextFeature.id)}
              >
                {nextFeature.label.toLowerCase()}
              </button>
              : it would settle {next!.gainBits.toFixed(1)} bits on average.
            </>
          ) : (
            'No look left that would tell the variants apart.'
          )
        }
      >
        {describeVerdict(identification, catalogue)}
      </Verdict>
      <DateRuler identification={identification} />
      <RankedVariants identification={identification} />
      <EvidenceList identification={identification} catalogue={catalogue} />
      <TaskList station="identify" />
    </Zones>
  );
}
