/** Prices and masses of small things that a hookup drags in: assumed, common practice of the trade, no source. Cents and grams each. */
export const sundries = {
  wirePerM: (gauge: number) => {
    let cents: number;
    if (gauge <= 14) cents = 320;
    else if (gauge <= 20) cents = 180;
    else cents = 90;
    return { cents: cents };
  },
  heatShrinkPerJoint: { cents: 4, grams: 0.05 },
  housing: { cents: 25, grams: 0.2 },
  pin: { cents: 4, grams: 0.02 },
  capacitor: { cents: 180, grams: 3.2 },
  standoff: { cents: 20, grams: 0.4 },
  isolator: { cents: 30, grams: 0.3 },
} as const;

/** What is bought beyond what is used, by policy: share of wire, and pieces of standoffs, isolators, capacitors and housings. Common practice, no source. */
export const spares = {
  none: { wire: 0, fixings: 0, sets: 0 },
  usual: { wire: 0.2, fixings: 1, sets: 0 },
  'field kit': { wire: 0.5, fixings: 4, sets: 1 },
} as const;

/** What a marking means on a wire, where colours are kept: common practice, no source. Black is ground, red the pack, orange a regulated supply. */
export const wireColours = {
  ground: 'black',
  pack: 'red',
  supply: 'orange',
  hears: 'white',
  talks: 'yellow',
  other: 'blue',
} as const;
