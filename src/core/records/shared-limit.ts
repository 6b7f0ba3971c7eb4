import type { Board, SharedLimit } from './board';

/** "5 V and 9 V together". */
export function sharedLabel({ rails }: Pick<Board, 'rails'>, limit: Pick<SharedLimit, 'rails'>): string {
  const labels = limit.rails.map((id) => rails.find((r) => r.id === id)?.label ?? id);
  return `${labels.slice(0, -1).join(', ')} and ${labels.at(-1)} together`;
}
