/** What can hurt at a step and what to do about it. Every card ends with the same deferral. */
export interface HazardCard {
  readonly key: string;
  readonly title: string;
  readonly hurts: string;
  readonly wear: string;
  readonly air: string;
  readonly neverMix: string;
  readonly firstAction: string;
  readonly waste: string;
}

export const HAZARD_DEFERRAL =
  "The product's own safety sheet and local rules go first. When in doubt, ask someone licensed.";

const CARDS: readonly HazardCard[] = [
  {
    key: 'gel-stripper',
    title: 'Solvent gel stripper',
    hurts:
      'Burns skin and eyes; the vapour harms lungs and can burn. A closed jar builds up pressure. Never a dichloromethane stripper, old tins included; products with NMP can harm an unborn child.',
    wear: 'Chemical-resistant gloves named on the product sheet, goggles, apron, long sleeves.',
    air: 'Open window and moving air, or outdoors. No flame, spark, heater or grinding in the room until it is aired.',
    neverMix: 'No caustic, acid or bleach on the same part before it is rinsed.',
    firstAction: 'Skin: rinse with plenty of water. Eyes: water at once for 20 minutes and call the emergency number.',
    waste: 'Sludge and wipes hold old paint: closed metal tin, hazardous-waste depot.',
  },
  {
    key: 'old-paint',
    title: 'Old paint may hold lead',
    hurts:
      'Paint from before about 1980, or of unknown date, is treated as leaded: dust and flakes are poisonous. Home swabs can miss it.',
    wear: 'Gloves, apron kept at the bench. Wash hands and face before eating.',
    air: 'Work wet. No dry sanding, wire wheel, dry blasting, hot air or torch until the metal is bare.',
    neverMix: 'No food, drink or smoking at the bench; pregnant people and children stay away.',
    firstAction: 'Wipe up wet, never sweep or blow. If swallowed, call the poison line.',
    waste: 'Flakes, sludge and wipes to the hazardous-waste depot, never in the sink or bin.',
  },
  {
    key: 'caustic-bath',
    title: 'Caustic bath',
    hurts:
      'Burns skin and blinds; the bath heats itself up. Zinc gives off hydrogen, aluminium makes it boil over violently.',
    wear: 'Goggles and face shield, long chemical-resistant gloves, apron, closed shoes.',
    air: 'Outdoors or moving air, lid resting and never closed. No flame or spark in the room. Never unattended, children and pets away.',
    neverMix:
      'Pure sodium hydroxide only: no drain cleaner, acid, bleach or ammonium salts. Never water onto crystals.',
    firstAction: 'Skin or eyes: water at once for 20 minutes and the emergency number. Never acid.',
    waste: 'Liquor with paint sludge goes to the hazardous-waste depot.',
  },
  {
    key: 'spraying',
    title: 'Spraying paint',
    hurts:
      'Mist and solvent harm lungs and can catch fire. Two-part clears hold isocyanates: leave those to someone equipped.',
    wear: 'Respirator with the filter the product sheet names, gloves, goggles.',
    air: 'Booth running and vented outdoors; keep it running through the flash-off. No flame, spark, heater or grinding in the room.',
    neverMix: 'Only the thinner the product names.',
    firstAction: 'Dizzy or coughing: stop, fresh air. Eyes: rinse 20 minutes.',
    waste: 'Cans and thinner to the hazardous-waste depot; spread rags flat outdoors to dry.',
  },
  {
    key: 'mixing-paint',
    title: 'Mixing solvent paints',
    hurts: 'Solvent vapour gathers over open pots: headache, drowsiness, fire. Paint and thinner dry out skin.',
    wear: 'Gloves that the product sheet names, glasses.',
    air: 'Window open or extraction on; lids on between pours. No flame, spark or heater in the room.',
    neverMix: 'Paints of different binders, or any thinner but the one the product names.',
    firstAction: 'Dizzy: stop, fresh air. Skin: soap and water, not thinner. Eyes: rinse 20 minutes.',
    waste: 'Leftovers into a lidded pot with its recipe; cups and cards dry outdoors, thinner to the depot.',
  },
  {
    key: 'drilling',
    title: 'Drilling a small casting',
    hurts: 'The bit grabs and spins the casting; swarf flies into eyes.',
    wear: 'Eye protection. Gloves OFF, sleeves and hair tied back.',
    air: 'No need beyond the usual; wipe up swarf wet where old paint is on the part.',
    neverMix: 'Cutting oil leaves a film: degrease before any paint.',
    firstAction: 'Stop the drill before touching anything. Swarf in the eye: rinse, see a doctor.',
    waste: 'Painted swarf with the old-paint waste.',
  },
  {
    key: 'grinding',
    title: 'Grinding or cutting an axle',
    hurts:
      'Sparks, hot ends and a disc that can shatter. Plating fumes are poisonous: plated or unknown wire is never heated, ground or wire-wheeled.',
    wear: 'Face shield over goggles. Gloves OFF at anything that turns; sleeves and hair tied back.',
    air: 'No vapour, solvent or bath in the room. Keep dust away from the face.',
    neverMix: 'Never beside a stripper, thinner, spray mist or a caustic bath.',
    firstAction: 'Let go of the switch. Burn: cool with water for 20 minutes.',
    waste: 'Cold sparks and dust wiped up wet.',
  },
  {
    key: 'soldering-iron',
    title: 'Soldering',
    hurts: 'Burns; flux smoke irritates and sensitises; old solder may hold lead or cadmium.',
    wear: 'Eye protection; wash hands afterwards.',
    air: 'Draw the smoke away from the face. No vapour or bath in the room.',
    neverMix: 'Never on or beside pest-suspect or leaded castings without care: they melt early.',
    firstAction: 'Burn: cool with water for 20 minutes.',
    waste: 'Dross with the old-paint waste.',
  },
  {
    key: 'hot-air',
    title: 'Warming zinc to straighten it',
    hurts: 'Burns; zinc turns brittle again when too hot. Paint left on gives off poisonous fumes.',
    wear: 'Heat-proof gloves, eye protection.',
    air: 'Aired room; nothing that can burn near by. No vapour or bath in the room.',
    neverMix:
      'Never with plastic, glue, filler or paint still on the part; never pest-suspect, lead or soldered parts.',
    firstAction: 'Burn: cool with water for 20 minutes.',
    waste: 'None.',
  },
  {
    key: 'cyanoacrylate',
    title: 'Cyanoacrylate and fillers',
    hurts: 'Bonds skin at once, heats up on cotton, irritates eyes and fogs clear parts. Two-part resins sensitise.',
    wear: 'Goggles; nitrile gloves, never cotton.',
    air: 'Aired room, glazing well away.',
    neverMix: 'No oven, caustic or stripper on the joint afterwards.',
    firstAction: 'Bonded skin: soak in warm soapy water, never pull. Eyes: rinse and see a doctor.',
    waste: 'Let it harden, then household waste.',
  },
  {
    key: 'resin',
    title: 'Printing in resin',
    hurts: 'Uncured resin makes the skin allergic for good; its wash burns easily; the lamp hurts eyes.',
    wear: 'Nitrile gloves, goggles, long sleeves, until it is cured on all sides.',
    air: 'Open window; no flame or spark near the wash.',
    neverMix: 'No bare finger on anything wet with it, tools and bottle included. Never look into the lamp.',
    firstAction: 'On the skin: off at once with soap and water, no solvent. Eyes: rinse and see a doctor.',
    waste: 'Wash and wipes are cured in the sun or under the lamp, then to the depot; none goes down the drain.',
  },
  {
    key: 'degreaser',
    title: 'Degreasing solvent',
    hurts: 'Burns easily, dries the skin, vapour dulls the head.',
    wear: 'Nitrile gloves, eye protection.',
    air: 'Open window; no flame or spark in the room until it has dried.',
    neverMix: 'Keep off glazing, labels and decals.',
    firstAction: 'Spill: open windows, wipe up, no switches.',
    waste: 'Wipes dried flat outdoors, then as the product sheet says.',
  },
  {
    key: 'lead-alloy',
    title: 'Lead alloy',
    hurts: 'Lead is poison by the mouth and as dust. White powder on it is lead carbonate: worse, and it flies.',
    wear: 'Gloves. Wash hands and face before eating, even after gloves.',
    air: 'No dust: never brush, blow, sand or wire-wheel it. Never warm it: it melts from 183 °C.',
    neverMix: 'No food, drink or smoking at the bench; pregnant people and children stay away.',
    firstAction: 'Bag what blooms, wipe the bench wet. If swallowed, call the poison line.',
    waste: 'Wipes and swarf to the hazardous-waste depot.',
  },
  {
    key: 'glycol-ether',
    title: 'Glycol-ether fluid',
    hurts: 'Poison through the skin without burning, and by the mouth; it tastes sweet.',
    wear: 'Gloves named on the product sheet, goggles, long sleeves.',
    air: 'Aired room, lid resting. Children and pets away; never left alone.',
    neverMix: 'Never near pool chlorine or any other oxidiser: it catches fire.',
    firstAction: 'Skin: wash with plenty of water at once. Swallowed: the poison line, at once.',
    waste: 'With its sludge to the hazardous-waste depot.',
  },
  {
    key: 'blasting',
    title: 'Blasting',
    hurts: 'Dust for the lungs, grit for the eyes; painted, it is lead dust.',
    wear: 'Respirator as the product sheet names, goggles or hood, gloves, closed sleeves.',
    air: 'A cabinet or outdoors on a dry day; nobody near by. Only metal that is bare of paint.',
    neverMix: 'Never sand as grit. Never on lead, tinplate or plated wire.',
    firstAction: 'Grit in the eye: rinse for 20 minutes, see a doctor.',
    waste: 'Spent grit with the old-paint waste.',
  },
  {
    key: 'oven',
    title: 'Oven',
    hurts: 'Burns; fumes of paint, and acid fume from any PVC that was overlooked.',
    wear: 'Heat-proof gloves, eye protection.',
    air: 'Aired room. All vapour out before it is switched on. Never left alone while it heats or cools.',
    neverMix:
      'Never a kitchen oven, and never food in this one again. Nothing wet with solvent, nothing soldered, plated, of lead or of plastic; glue and filler only in a low bake, as far as their own sheets go.',
    firstAction: 'Burn: cool with water for 20 minutes. Smoke: off at the wall, door shut, out.',
    waste: 'None.',
  },
  {
    key: 'powder',
    title: 'Powder coating',
    hurts: 'Fine dust for the lungs that can ignite in a cloud; the gun charges to high voltage.',
    wear: 'Respirator as the product sheet names, goggles, conductive shoes.',
    air: 'Booth drawing, everything earthed. No flame, spark or vapour in the room.',
    neverMix: 'Never with solvent paint in the same air.',
    firstAction: 'Shock or flash: switch off at the wall, then help.',
    waste: 'Swept-up powder as its sheet says; never blown.',
  },
  {
    key: 'torch',
    title: 'Torch',
    hurts: 'Burns and fire. Plating gives zinc fume fever; cadmium fume can kill.',
    wear: 'Eye protection, no synthetic sleeves.',
    air: 'Aired room, brick under it, nothing that burns within a metre. No vapour or bath in the room.',
    neverMix: 'Bare steel only: plated or unknown wire is never heated.',
    firstAction:
      'Burn: cool with water for 20 minutes. Chill, fever or cough hours later: a doctor, and say what was heated.',
    waste: 'None.',
  },
  {
    key: 'oily-rags',
    title: 'Oil and oily rags',
    hurts: 'Rags with drying oil heat up by themselves and catch fire.',
    wear: 'Gloves.',
    air: 'No heater or flame near by.',
    neverMix: 'Oil left on metal spoils paint: degrease.',
    firstAction: 'Smouldering rag: water, outdoors.',
    waste: 'Spread flat outdoors until dry, or in a closed tin under water.',
  },
  {
    key: 'sharp-edges',
    title: 'Edges of sheet metal',
    hurts: 'Tinplate cuts like a blade, rusty edges worst.',
    wear: 'Cut-proof gloves, eye protection. Gloves OFF at anything that turns.',
    air: 'Wet, no dust.',
    neverMix: 'Tabs are bent with a tool, not with a thumb.',
    firstAction: 'Cut: wash, press, cover; rust in it: ask about tetanus.',
    waste: 'Offcuts in a tin.',
  },
];

const BY_KEY = new Map(CARDS.map((card) => [card.key, card]));

/** The card of that key. Every key a task names has one; asking for another is a fault in the program. */
export function getHazardCard(key: string): HazardCard {
  const card = BY_KEY.get(key);
  if (!card) throw new Error(`There is no hazard card called ${key}`);
  return card;
}
