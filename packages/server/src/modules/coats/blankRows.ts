/** A coat of which nobody said more than what it is, and nothing was done since. */
export const BLANK_LAYER = {
  ...{ productId: null, tempC: null, appliedAt: null, appliedBy: null, note: '' },
  ...{ rejection: null, removedAt: null, keyedAt: null, coats: null, isMist: false, how: null, decalMm: null },
};

/** An area of which nobody knows more than its name. */
export const BLANK_AREA = { crossesSeam: false, reliefUm: null, size: null, outline: null };
