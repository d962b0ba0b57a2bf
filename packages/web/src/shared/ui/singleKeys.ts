const SINGLE_KEYS = 'sardonyx.singleKeys';

/** Single keys act outside fields only, and can be switched off. */
export const areSingleKeysOn = () => localStorage.getItem(SINGLE_KEYS) !== 'off';
export const setSingleKeys = (on: boolean) => localStorage.setItem(SINGLE_KEYS, on ? 'on' : 'off');

/** Somewhere to type: it has an undo of its own. */
export const isField = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA)$/.test(target.tagName));

/** Letters mean something there already: they are typed, or find a line of a list. */
export const takesLetters = (target: EventTarget | null) =>
  isField(target) ||
  (target instanceof HTMLElement && target.closest('[role="combobox"], [role="listbox"], [role="menu"]') !== null);
