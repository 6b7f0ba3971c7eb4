export const isPack = (label: string) => /^pack$/i.test(label);

/** A rail in a sentence. One that is called by its volts alone is said to be a rail: "5 V gives 5 V" helps nobody. */
export function railWords(label: string): string {
  if (/^[\d.,]+ ?V$/i.test(label)) return `the ${label} rail`;
  if (isPack(label)) return 'the pack';
  return /^\d/.test(label) ? `the ${label}` : label;
}
