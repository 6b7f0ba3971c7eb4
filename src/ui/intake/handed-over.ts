let waiting: { board: string; files: File[] } | null = null;

/** Gives files to the editor of a board that is about to open. */
export function handOver(board: string, files: File[]): void {
  waiting = { board, files };
}

/** The files that were given to this board's editor, once. */
export function takeHandedOver(board: string): File[] {
  const files = waiting?.board === board ? waiting.files : [];
  if (files.length > 0) waiting = null;
  return files;
}
