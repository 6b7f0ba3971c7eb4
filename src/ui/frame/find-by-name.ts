export interface Named {
  group: string;
  name: string;
  /** What else it is found by, and shown with. */
  more: string;
}

/**
 * What holds every word that was typed, the nearest first: the name itself, what begins so, names of which words begin so, names that hold it, then what is only found by
 * something else. Groups stay together, and come in the order of their nearest.
 */
export function findByName<T extends Named>(all: readonly T[], typed: string): T[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [...all];
  const hits = all
    .filter((f) => words.every((w) => `${f.name} ${f.more} ${f.group}`.toLowerCase().includes(w)))
    .map((f) => ({ f, far: farness(f.name.toLowerCase(), words) }))
    .sort((a, b) => a.far - b.far);
  const groups = [...new Set(hits.map((h) => h.f.group))];
  return groups.flatMap((group) => hits.filter((h) => h.f.group === group).map((h) => h.f));
}

function farness(name: string, words: readonly string[]): number {
  const whole = words.join(' ');
  const starts = name.split(/[\s-]+/);
  if (name === whole) return 0;
  if (name.startsWith(whole)) return 1;
  if (words.every((w) => starts.some((s) => s.startsWith(w)))) return 2;
  return words.every((w) => name.includes(w)) ? 3 : 4;
}
