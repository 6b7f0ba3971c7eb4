import { useHotkeys } from 'react-hotkeys-hook';

const kept = 'rung letter keys off';

/** Keys of one letter, figure or sign can be switched off (WCAG 2.2, 2.1.4): who speaks to the machine would else press them unmeant. */
export function letterKeysOn(): boolean {
  try {
    return localStorage.getItem(kept) === null;
  } catch {
    return true;
  }
}

export function switchLetterKeys(on: boolean): void {
  try {
    if (on) localStorage.removeItem(kept);
    else localStorage.setItem(kept, 'off');
  } catch {
    // A browser that keeps nothing keeps them on.
  }
}

/** A key of one letter, figure or sign, while those are on. */
export function useLetterKey(
  keys: string,
  does: (event: KeyboardEvent) => void,
  options: { preventDefault?: boolean; useKey?: boolean } = {},
): void {
  useHotkeys(keys, does, { ...options, enabled: () => letterKeysOn() });
}
