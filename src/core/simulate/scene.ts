import type { cellVolts } from '../trade/cell';

/** Which end of what is not known counts. `low`: the volts at the parts come out lowest; `high`: highest; `usual`: the middle, for a prediction. */
export type End = 'low' | 'high' | 'usual';

/** What is plugged in, what flies, what draws. */
export interface Scene {
  id: string;
  says: string;
  /** null: no pack. */
  pack: { charge: keyof (typeof cellVolts)['lipo']; limiterAmps?: number } | null;
  usb: boolean;
  /** Share of full throttle, 0 to 1. */
  throttle: number;
  /** What the parts draw. `asked`: only those that must live on USB, the others stay dark. */
  draws: 'least' | 'usual' | 'peak' | 'asked';
  end: End;
}

const scene = (id: string, says: string, rest: Omit<Scene, 'id' | 'says'>): Scene => ({ id, says, ...rest });

/** The scenes in which every joint of a hookup is checked: each is the worst for some joint, and says for which by its end. */
export const auditScenes: readonly Scene[] = [
  scene('full', 'full pack at rest', {
    pack: { charge: 'full' },
    usb: false,
    throttle: 0,
    draws: 'least',
    end: 'high',
  }),
  scene('land', 'landing pack at full throttle, everything drawing its peak', {
    pack: { charge: 'land' },
    usb: false,
    throttle: 1,
    draws: 'peak',
    end: 'low',
  }),
  scene('usb', 'USB alone', { pack: null, usb: true, throttle: 0, draws: 'asked', end: 'low' }),
  scene('usb-high', 'USB alone at its high end', { pack: null, usb: true, throttle: 0, draws: 'least', end: 'high' }),
  scene('both', 'USB and pack', { pack: { charge: 'full' }, usb: true, throttle: 0, draws: 'least', end: 'high' }),
];

/** What a meter would read on the bench: the figures as they most likely are. */
export function benchScene(change: Partial<Scene>): Scene {
  return {
    ...scene('bench', 'pack at its nominal volts', {
      pack: { charge: 'nominal' },
      usb: false,
      throttle: 0,
      draws: 'usual',
      end: 'usual',
    }),
    ...change,
  };
}
