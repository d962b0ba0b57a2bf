import type { AlterationGroup, Feature } from '../model/catalogue.ts';
import type { PartRole } from '../model/partRole.ts';

/** Something that issues of a casting often differ in, with where and how to look; ready to be a row of the issue sheet. */
export type OfferedFeature = Omit<Feature, 'id' | 'version' | 'rangeId'>;

const offer = (
  key: string,
  label: string,
  [partRole, group, effort]: readonly [PartRole, AlterationGroup, number],
  howToLook: string,
): OfferedFeature => ({ key, label, howToLook, partRole, effort, destroys: '', group });

const OFFERS: readonly OfferedFeature[] = [
  offer('body-colour', 'Body colour', ['body', 'outer coat', 1], 'By daylight, on a large even area.'),
  offer(
    'sheltered-colour',
    'Colour in sheltered places',
    ['body', 'sheltered coat', 2],
    'Inside, under the base, behind flaps.',
  ),
  offer('decal', 'Decal', ['body', 'decals', 1], 'On both sides and at the rear; a shadow of glue counts.'),
  offer(
    'casting-detail',
    'Detail of the casting',
    ['body', 'body casting', 2],
    'Grille, ribs, steps, holes: what the tool left.',
  ),
  offer('cab-colour', 'Cab colour', ['cab', 'outer coat', 1], 'By daylight, on a large even area.'),
  offer(
    'base-text',
    'Lettering on the base',
    ['base', 'base casting', 2],
    'With raking light; note words, number and frame.',
  ),
  offer('base-finish', 'Finish of the base', ['base', 'base coat', 1], 'Bare, plated or painted, and in which colour.'),
  offer('wheels', 'Wheels', ['wheel', 'wheels', 1], 'Material, colour and pattern of the hub.'),
  offer('tyres', 'Tyres', ['tyre', 'wheels', 1], 'Colour, tread, hard or soft.'),
  offer('axle-ends', 'Axle ends', ['axle', 'wheels', 2], 'With a magnifier: crimped, domed, or cut flat.'),
  offer('glazing', 'Glazing', ['glazing', 'fitted part', 1], 'None, clear or tinted.'),
  offer('interior-colour', 'Interior colour', ['interior', 'fitted part', 1], 'Through the windows, by a torch.'),
  offer(
    'load-colour',
    'Colour of the load',
    ['load', 'fitted part', 1],
    'By daylight; whether it belongs is another question.',
  ),
];

/** What a row of this name looks at: an offered one as it stands, another one of the body until somebody says more. */
export const describeFeature = (label: string): Omit<OfferedFeature, 'key'> =>
  OFFERS.find((one) => one.label.toLowerCase() === label.toLowerCase()) ?? {
    ...{ label, howToLook: '', partRole: 'body', effort: 1, destroys: '', group: 'fitted part' },
  };

/** Rows to offer for a casting with such parts, leaving out what the range looks at already. */
export function offerFeatures(
  parts: readonly { readonly role: PartRole }[],
  known: readonly Pick<Feature, 'label'>[],
): OfferedFeature[] {
  const roles = new Set(parts.map((part) => part.role));
  const labels = new Set(known.map((feature) => feature.label.toLowerCase()));
  return OFFERS.filter(({ partRole, label }) => roles.has(partRole) && !labels.has(label.toLowerCase()));
}
