/** Beside the photographs: what is known of each, for those who measure on them. */
export const TRUTH_FOLDER = 'truth';
