/** The version of every open file format; `migrate.ts` brings older ones to it. */
export const newestVersion = 2;

/** Short names that files use to point at things inside themselves. The one word that every object of the language knows already cannot be one. */
export const idShape = /^(?!constructor$)[a-z0-9][a-z0-9.+-]{0,63}$/;

/** An id made of words; `otherwise` where they leave nothing, or nothing allowed. */
export function idFrom(words: string, otherwise: string): string {
  const id = words
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 60)
    .replace(/^-+|-+$/g, '');
  return idShape.test(id) ? id : otherwise;
}

/** Clockwise, seen from the top. */
export const sides = ['front', 'right', 'rear', 'left'] as const;
export type Side = (typeof sides)[number];
