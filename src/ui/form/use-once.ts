import { useRef, type BaseSyntheticEvent } from 'react';

/** A form is sent once, however often it is pressed until the answer is there: two presses make no two links. */
export function useOnce(send: (event?: BaseSyntheticEvent) => Promise<void>): (event: BaseSyntheticEvent) => void {
  const busy = useRef(false);
  const sendOnce = async (event: BaseSyntheticEvent) => {
    event.preventDefault();
    if (busy.current) return;
    busy.current = true;
    await send(event).finally(() => (busy.current = false));
  };
  return (event) => void sendOnce(event);
}
