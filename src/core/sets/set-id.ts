/** Between the ids of the members; no id of a board has it. */
const mark = '~';

/** The stable address of a set: controller, ESC and power board in that order, whichever there are. */
export function setId(members: readonly string[]): string {
  return members.join(mark);
}

/** The boards that an address names; one where it is that of a board. */
export function boardIdsIn(id: string): string[] {
  return id.split(mark);
}

/** Is it the address of several boards together? */
export function isSetId(id: string): boolean {
  return id.includes(mark);
}
