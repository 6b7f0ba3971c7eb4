import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Undoable } from './use-history';

type Keys = Pick<Undoable<unknown>, 'undo' | 'redo'>;

/** Who answers the keys: the newest that asked for them. A screen with an undo of its own stands before the build's. */
const asked: Keys[] = [];

/** Ctrl+Z and Ctrl+Shift+Z for what is on the page. In a text field the keys undo the text, as everywhere. */
export function useUndoKeys(keys: Keys): void {
  const { undo, redo } = keys;
  useEffect(() => {
    const mine = { undo, redo };
    asked.push(mine);
    return () => void asked.splice(asked.indexOf(mine), 1);
  }, [undo, redo]);
  const first = (act: 'undo' | 'redo') => () => asked.at(-1)?.undo === undo && asked.at(-1)![act]();
  useHotkeys('mod+z', first('undo'), { preventDefault: true });
  useHotkeys('mod+shift+z', first('redo'), { preventDefault: true });
}
