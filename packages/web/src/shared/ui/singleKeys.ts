const SINGLE_KEYS = 'sardonyx.singleKeys';

/** Single keys act outside fields only, and can be switched off. */
export const areSingleKeysOn = () => localStorage.getItem(SINGLE_KEYS) !== 'off';
export const setSingleKeys = (on: boolean) => localStorage.setItem(SINGLE_KEYS, on ? 'on' : 'off');

export const isField = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
