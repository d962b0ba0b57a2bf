import { isMetal } from '../../model/material.ts';
import { createLadder } from '../../process/abrasiveLadder.ts';
import { judgePart } from '../../process/judgePart.ts';
import type { PlanContext } from '../planContext.ts';
import type { PlanPart, TaskDraft } from '../planTypes.ts';
import { uses } from '../../supply/supplies.ts';
import { capitalise, isReplaced, listNames, nameOf, sayFinding, type PlanRule } from './planRule.ts';

const findFinding = (part: PlanPart, kind: string) => part.findings.find((finding) => finding.kind === kind);

/** What keeps what it wears: cleaned with what it stands, polished, aired; plating taken off. */
export const CLEANING_RULES: readonly PlanRule[] = [
  {
    id: 'wash-plastic',
    when: 'a part is not of metal and keeps what it wears',
    serves: ['S18', 'N2'],
    create: (context) =>
      context.workable
        .filter((part) => !isMetal(part.material) && !context.isStripped(part) && !isReplaced(part))
        .filter((part) => !losesPlating(part, context))
        .map((part) => createCleaning(part, context)),
  },
  {
    id: 'wash-bare-metal',
    when: 'metal is neither painted nor to be painted',
    serves: ['O26', 'N2'],
    create: ({ workable, materialsOf }) => {
      const bare = workable.filter(
        (part) =>
          isMetal(part.material) &&
          !part.painted &&
          part.coats.length === 0 &&
          part.role !== 'axle' &&
          judgePart(materialsOf(part), 'soap and water').verdict !== 'never',
      );
      if (bare.length === 0) return [];
      const { limit } = judgePart(
        bare.flatMap((part) => materialsOf(part)),
        'soap and water',
      );
      const hasLead = bare.some((part) => part.material === 'lead alloy');
      return [
        {
          key: 'wash-bare',
          station: 'strip',
          title: `Wash the bare ${listNames(bare.map(nameOf))}`,
          partKeys: bare.map((part) => part.key),
          tags: ['wash'],
          process: 'soap and water',
          ...(hasLead ? { hazards: ['lead-alloy'] } : {}),
          handsOnMin: 4 + 3 * bare.length,
          passiveMin: 20,
          how: `Lukewarm water and a drop of soap, a toothbrush into treads and hubs; ${limit}. Then a wipe of degreaser: soap leaves a film of its own.`,
          because: `It stays bare: ${listNames([...new Set(bare.map((part) => part.material))])}. Old grease is dirt tomorrow.`,
        },
      ];
    },
  },
  {
    id: 'clean-kept',
    when: 'a painted part keeps its wear',
    serves: ['S22', 'S23', 'N2'],
    create: ({ workable, strippingOf, because }) =>
      workable
        .filter((part) => isMetal(part.material) && part.painted && strippingOf(part) === null)
        .map((part) => ({
          key: `keep:${part.key}`,
          station: 'strip' as const,
          title: `Clean the ${nameOf(part)} and keep the wear`,
          partKeys: [part.key],
          tags: ['inspect' as const],
          ...(part.material === 'lead alloy' ? { hazards: ['lead-alloy'] } : {}),
          handsOnMin: 8,
          how: 'Soft dry brush; where dirt sticks, a barely damp bud rolled, not rubbed. Old paint that lifts is left and written down.',
          because: `End state: ${because('S22')}`,
        })),
  },
  {
    id: 'plating-off',
    when: 'vacuum-plated plastic gets a new coat',
    serves: ['N2', 'N9'],
    create: (context) =>
      context.workable
        .filter((part) => losesPlating(part, context))
        .flatMap((part): TaskDraft[] => [
          {
            key: `plating-test:${part.key}`,
            station: 'strip',
            title: `Try caustic on a hidden spot of the ${nameOf(part)}`,
            partKeys: [part.key],
            tags: ['hidden test', 'chemical', 'bath'],
            hazards: ['caustic-bath'],
            handsOnMin: 4,
            how: 'One drop on the back, two minutes, rinse. Plating gone and plastic unchanged: go on. Dull or soft: it is acetate or polycarbonate, and never meets caustic.',
            because: 'What is under the plating shows only there; electroplated parts keep theirs.',
          },
          {
            key: `plating-off:${part.key}`,
            station: 'strip',
            title: `Take the plating off the ${nameOf(part)} in caustic`,
            partKeys: [part.key],
            tags: ['strip', 'chemical', 'bath', 'vapour'],
            process: 'caustic bath',
            hazards: ['caustic-bath'],
            cannotBeUndone: 'the plating',
            handsOnMin: 8,
            watchedMin: 5,
            how: 'Nothing else of plastic in the bath: glazing and tyres stay in their bags. Under, look every minute, out as soon as it is clear. Plenty of water, then dry.',
            because: `Planned on it: ${part.coats.map((coat) => coat.name).join(', ')}. New ink does not hold on worn plating.${findFinding(part, 'scuffed') ? ` ${sayFinding(findFinding(part, 'scuffed')!)}` : ''}`,
            uses: uses(['pure sodium hydroxide', 20], ['caustic vessel with a resting lid'], ['gloves']),
          },
          {
            key: `plating-rinse:${part.key}`,
            station: 'strip',
            title: `Rinse and dry the ${nameOf(part)}`,
            partKeys: [part.key],
            tags: ['wash'],
            handsOnMin: 4,
            passiveMin: 30,
            how: 'Water until it no longer feels slippery through the glove, a soft brush into the grooves. Dry on a cloth, no heat.',
            because: 'Caustic left in a groove lifts the new coat.',
          },
        ]),
  },
  {
    id: 'polish-clear',
    when: 'a clear part is scuffed and stays',
    serves: ['N48', 'N2'],
    create: ({ workable, materialsOf }) =>
      workable
        .filter((part) => part.role === 'glazing' && findFinding(part, 'scuffed') && !isReplaced(part))
        .filter((part) => judgePart(materialsOf(part), 'abrasive').verdict === 'with care')
        .map((part) => {
          const finding = findFinding(part, 'scuffed')!;
          const { grits, finish, because } = createLadder(
            finding.severity > 1 ? 'scuffed clear' : 'dull clear',
            'clear',
          );
          return {
            key: `polish:${part.key}`,
            station: 'strip' as const,
            title: `Polish the ${nameOf(part)}`,
            partKeys: [part.key],
            tags: ['repair' as const],
            process: 'abrasive' as const,
            handsOnMin: 10 * grits.length,
            how: `Wet, on a flat cork: ${grits.join(', then ')}; then ${finish}. Each crossways to the last, until its scratches are gone. Dust it off with water, no solvent.`,
            because: `${sayFinding(finding)} ${because}`,
            uses: uses(['wet abrasive paper', 1], ['plastic polish', 2]),
          };
        }),
  },
  {
    id: 'wheels',
    when: 'wheels are worn, or the job treats them its own way',
    serves: ['S14'],
    create: (context) => context.workable.flatMap((part) => createWheelTasks(part, context)),
  },
  {
    id: 'air-smell',
    when: 'something smells',
    serves: ['N51'],
    create: ({ workable }) =>
      workable
        .filter((part) => findFinding(part, 'smell') && !isReplaced(part))
        .map((part) => ({
          key: `air:${part.key}`,
          station: 'strip' as const,
          title: `Air the ${nameOf(part)} apart from the others`,
          partKeys: [part.key],
          tags: ['airing' as const],
          handsOnMin: 3,
          passiveMin: 4320,
          how: 'After washing, in an open box away from other models; until then bagged. Note what took it off.',
          because: sayFinding(findFinding(part, 'smell')!),
        })),
  },
];

/** It gets a new coat, lies alone, and nothing on it is harmed by a few minutes of caustic. */
const losesPlating = (part: PlanPart, { materialsOf, pieces }: PlanContext) =>
  part.material === 'vacuum-plated plastic' &&
  part.coats.length > 0 &&
  pieces.neighboursOf(part.key).length === 0 &&
  judgePart(materialsOf(part), 'caustic bath').verdict !== 'never';

function createCleaning(part: PlanPart, { materialsOf, because }: PlanContext): TaskDraft {
  const { verdict, reason, limit, material } = judgePart(materialsOf(part), 'soap and water');
  const common = { station: 'strip' as const, partKeys: [part.key], tags: ['wash' as const] };
  if (verdict === 'never')
    return {
      ...common,
      key: `brush:${part.key}`,
      title: `Brush the ${nameOf(part)} dry`,
      handsOnMin: 6,
      how: 'Soft dry brush, a barely damp bud where it must be, nothing else. No water, no solvent.',
      because: `${capitalise(material)}: ${reason}.`,
    };
  const isTried = verdict === 'test first';
  return {
    ...common,
    key: `soap:${part.key}`,
    title: isTried ? `Wipe the ${nameOf(part)} with a damp bud` : `Wash the ${nameOf(part)} in soapy water`,
    ...(isTried ? {} : { process: 'soap and water' as const }),
    handsOnMin: 8,
    passiveMin: 30,
    how: isTried
      ? `A damp bud on a hidden spot first, wait, then little by little. ${limit}.`
      : 'Lukewarm water and a drop of soap, soft brush, rinse, dry on a cloth. Nothing stronger without a test on a hidden spot.',
    because: `${capitalise(part.material)}${isTried ? `: ${reason}` : ''}. Plastics: ${because('S18')}`,
  };
}

function createWheelTasks(part: PlanPart, { option, because, input }: PlanContext): TaskDraft[] {
  if (part.role !== 'wheel') return [];
  const school = option('S14');
  const worn = part.findings.find((finding) => finding.kind !== 'seized' && finding.kind !== 'missing');
  if (!worn && input.decisions['S14'] === undefined) return [];
  const why = `${worn ? `${sayFinding(worn)} ` : ''}Wheels: ${because('S14')}`;
  const wheels = nameOf(part);
  const common = { partKeys: [part.key], because: why };
  switch (school) {
    case 'best of two sets':
      return [
        {
          ...common,
          key: `wheels:${part.key}`,
          station: 'strip',
          title: `Pick the best ${wheels} of two sets`,
          tags: ['trial fit'],
          handsOnMin: 8,
          how: 'Same tread, same hub, same diameter, side by side under the lamp. What comes from a donor is written down as from there. No second set: keep these.',
        },
      ];
    case 'repaint':
      return part.coats.length
        ? []
        : [
            {
              ...common,
              key: `wheels:${part.key}`,
              station: 'finish',
              title: `Brush the ${wheels} in their own colour`,
              tags: ['colour', 'paint', 'vapour', 'handling'],
              hazards: ['degreaser'],
              handsOnMin: 15,
              passiveMin: 240,
              how: 'Degreased, on a pick through the hole, thin; the bore stays bare.',
              uses: uses(['body colour', 1]),
            },
          ];
    case 'stain':
    case 'polish dip': {
      const isStain = school === 'stain';
      return [
        {
          ...common,
          key: `wheels:${part.key}`,
          station: 'finish',
          title: isStain ? `Dark wash into the ${wheels}` : `Dip the ${wheels} in clear floor polish`,
          tags: ['paint', 'handling'],
          handsOnMin: 8,
          passiveMin: 120,
          how: isStain
            ? 'Thin, into the hub only, the tread wiped at once.'
            : 'Degreased, dipped, shaken off, on a pick until dry; the bore cleared.',
          uses: isStain ? uses(['dark wash', 1]) : uses(['floor polish', 5]),
        },
      ];
    }
    default:
      return [];
  }
}
