/**
 * Before something is taken out of a list: where the focus goes then, so that it is not lost with it. The same button of the next thing in the list, or of the one before;
 * else what `otherwise` names. `item`: what one thing of the list is. Call what comes back when it is gone.
 */
export function focusBeside(button: HTMLElement, item: string, otherwise: string): () => void {
  const here = button.closest(item);
  const beside = here?.nextElementSibling ?? here?.previousElementSibling ?? null;
  const at = here ? [...here.querySelectorAll('button')].indexOf(button as HTMLButtonElement) : -1;
  // The list is drawn anew first.
  return () =>
    setTimeout(() =>
      (beside?.isConnected
        ? beside.querySelectorAll('button')[at]
        : document.querySelector<HTMLElement>(otherwise)
      )?.focus(),
    );
}
