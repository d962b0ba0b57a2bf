import { join } from 'node:path';
import * as core from '../src/index.ts';
import { completeProduct } from '../src/film/completeProduct.ts';
import { listAreasOf } from '../src/facts/listAreasOf.ts';
import { PART_ROLES } from '../src/model/partRole.ts';
import { MATERIALS } from '../src/model/material.ts';
import { chooseOpening } from '../src/opening/chooseOpening.ts';
import { compareAlternatives, explainJoints } from '../src/opening/explainOpening.ts';
import { createOpeningQuestion } from '../src/opening/openingQuestion.ts';
import { createLadder, ROUGH_STATES, SMOOTH_GOALS } from '../src/process/abrasiveLadder.ts';
import { adviseBake, BAKES } from '../src/process/adviseBake.ts';
import { chooseMend, DAMAGES } from '../src/process/chooseMend.ts';
import { chooseStripping } from '../src/process/chooseStripping.ts';
import { expectPasses } from '../src/process/expectPasses.ts';
import { planStraightening } from '../src/process/planStraightening.ts';
import { SCHOOL_OPTIONS } from '../src/model/school.ts';
import { expectApproved } from './support/expectApproved.ts';
import { createRandomFacts } from './support/randomPlanWorld.ts';

const FOLDER = join(import.meta.dirname, 'approved');
const MODELS = 30;
const both = [false, true] as const;

/** One line a question, with everything that was answered. */
const line = (question: string, answer: unknown) => `${question}: ${JSON.stringify(answer)}`;

describe('advice as it was read and approved', () => {
  it('on mending, stripping, bending and baking every material', () => {
    const lines = MATERIALS.flatMap((material) => [
      `== ${material}`,
      ...DAMAGES.flatMap((damage) =>
        both.flatMap((carriesLoad) =>
          both.map((isReached) => {
            const question = { materials: [material], damage, carriesLoad, isReached, isJoined: false };
            const { best, because } = chooseMend({
              ...question,
              keepsPaint: false,
              isBakedLater: false,
              hasPiece: false,
              chosen: null,
              school: 'by load and access',
            });
            return `${damage}${carriesLoad ? ', loaded' : ''}${isReached ? ', reached' : ''}: ${best ?? 'nothing'}, ${because}`;
          }),
        ),
      ),
      ...both.map((isJoined) =>
        line(
          isJoined ? 'stripped, joined' : 'stripped',
          chooseStripping({ materials: [material], school: 'gel', isJoined }).best,
        ),
      ),
      ...[1, 7].map((degrees) =>
        line(
          `bent ${degrees}°`,
          planStraightening({ materials: [material], degrees, isJoined: false, isCold: degrees < 5 }),
        ),
      ),
      ...BAKES.map((bake) => line(bake, adviseBake([material], bake, false))),
      line('painted', PART_ROLES.map((role) => `${role} ${listAreasOf(role, material).join('+')}`).join(', ')),
    ]);
    const schools = SCHOOL_OPTIONS.S11.map((school) =>
      line(`zinc alloy, ${school}`, chooseStripping({ materials: ['zinc alloy'], school, isJoined: false })),
    );
    const ladders = ROUGH_STATES.flatMap((state) =>
      SMOOTH_GOALS.map((goal) => line(`${state} to ${goal}`, createLadder(state, goal))),
    );
    const passes = [1, 2, 3, 6].map((layers) => line(`${layers} layers`, expectPasses(layers)));
    const binders = (['enamel', 'acrylic', 'lacquer', 'ink', 'powder'] as const).map((binder) =>
      line(
        binder,
        completeProduct({ line: '', name: '', kind: 'colour', binder, gloss: 'gloss', colourHex: '#808080' }),
      ),
    );
    expectApproved(
      join(FOLDER, 'advice.txt'),
      [
        ...lines,
        '== binders',
        ...binders,
        '== schools',
        ...schools,
        '== ladders',
        ...ladders,
        '== passes',
        ...passes,
      ].join('\n'),
    );
  });

  it('rests on these numbers, by name', () => {
    const isNumbers = (value: unknown): boolean =>
      typeof value === 'number' ||
      (typeof value === 'object' &&
        value !== null &&
        !ArrayBuffer.isView(value) &&
        Object.values(value).some(isNumbers));
    const lines = Object.entries(core)
      .filter(([, value]) => isNumbers(value))
      .map(([name, value]) => line(name, value))
      .filter((one) => one.length < 2000);
    expectApproved(join(FOLDER, 'numbers.txt'), lines.sort().join('\n'));
  });

  it('on opening random models: what is opened, why, and what else could be done', () => {
    const models: string[] = [];
    for (let seed = 1; models.length < MODELS; seed++) {
      const question = createOpeningQuestion(createRandomFacts(seed));
      const chosen = chooseOpening(question);
      const reasons = explainJoints(question, chosen);
      if (reasons.length < 2) continue;
      const parts = question.parts.map(({ key, material, state }) => `${key} ${material} ${state}`);
      const model = [
        `== ${parts.join(', ')}`,
        ...reasons.map((reason) => JSON.stringify(reason)),
        ...compareAlternatives(question, chosen).map((one) => JSON.stringify(one)),
      ].join('\n');
      models.push(model);
    }
    expectApproved(join(FOLDER, 'openings.txt'), models.join('\n\n'));
  });
});
