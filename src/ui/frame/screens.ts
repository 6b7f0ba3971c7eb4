/** The screens of a build that have an address of their own, without those that are about one board; by what stands behind the build's address. */
export const screens = {
  '': 'Build',
  brief: "The buyer's brief",
  shelf: 'Shelf',
  ladder: 'Ladder',
  compare: 'Side by side',
  trade: 'Trade-off',
  questions: 'Questions',
  basket: 'Basket',
  sheet: 'Build sheet',
  bench: 'Bench',
  log: 'Logbook',
} as const;

/** Those about one board. */
export const boardScreens = { board: 'Findings', hookup: 'Hookup' } as const;

export function screenAddress(build: string, screen: string): string {
  return `/b/${build}${screen === '' ? '' : `/${screen}`}`;
}
