import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Undoable } from './use-history';

type Keys = Pick<Undoable<unknown>, 'undo' | 'redo'>;

/** Who answers the keys: the last of them. */
const asked: Keys[] = [];

/**
 * Ctrl+Z and Ctrl+Shift+Z for what is on the page; in a text field the keys undo the text, as everywhere. A screen with an undo of its own stands before the
 * build's, whichever of both comes first: where they come at once React tells the inner one first.
 */
export function useUndoKeys(keys: Keys, of: 'screen' | 'build' = 'screen'): void {
  const { undo, redo } = keys;
  useEffect(() => {
    const mine = { undo, redo };
    if (of === 'build') asked.unshift(mine);
    else asked.push(mine);
    return () => void asked.splice(asked.indexOf(mine), 1);
  }, [undo, redo, of]);
  const first = (act: 'undo' | 'redo') => () => asked.at(-1)?.undo === undo && asked.at(-1)![act]();
  useHotkeys('mod+z', first('undo'), { preventDefault: true });
  useHotkeys('mod+shift+z', first('redo'), { preventDefault: true });
}
