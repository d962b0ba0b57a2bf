/** What a part of a casting is made from when it is typed in. */
const part = (key: string, role: string, material = 'zinc alloy') => ({ key, name: key, role, material, count: 1 });

/** A lorry that no catalogue knows: two posts and a tab, glazing and seat inside, axles with formed ends. */
export const OWN_LORRY = {
  ...{ rangeId: 'own', number: '7/1', name: 'Attic Lorry', bodyType: 'lorry', construction: '' },
  ...{ lengthMm: 90, wheelbaseMm: 50 },
  parts: [
    part('body', 'body'),
    part('base', 'base', 'tinplate'),
    part('window', 'glazing', 'clear styrene'),
    part('seat', 'interior', 'hard plastic'),
    part('wheels', 'wheel', 'hard plastic'),
    part('axles', 'axle', 'steel'),
    part('hook', 'trim', 'steel'),
  ],
  joints: [
    { label: 'front post', kind: 'rivet post', partKeys: ['body', 'base'] },
    { label: 'rear post', kind: 'rivet post', partKeys: ['base', 'body'] },
    { label: 'window', kind: 'push fit', partKeys: ['body', 'window'] },
    { label: 'seat', kind: 'push fit', partKeys: ['seat', 'base'] },
    { label: 'hook', kind: 'bent tab', partKeys: ['body', 'hook'] },
    { label: 'axle ends', kind: 'formed axle', partKeys: ['base', 'axles', 'wheels'] },
  ],
};

/** The job that restores it. */
export const ownJob = (castingId: string, title = 'Attic Lorry') => ({
  ...{ title, castingId, scope: 'full', target: 'as issued', why: '', dueOn: null },
});

/** A pot of one's own. */
export const OWN_POT = {
  ...{ line: 'Own', kind: 'colour', binder: 'acrylic', gloss: 'matt', colourHex: '#506070', leftMl: 20, place: '' },
};
