import { useMemo } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { preferred, preferredUnit, usualWays, type Ways } from '@/core';

/** How whoever uses this browser likes to read figures and days. */
export const useWays = create<Ways & { say: (ways: Partial<Ways>) => void }>()(
  persist((set) => ({ ...usualWays, say: (ways) => set(ways) }), {
    name: 'rung ways',
    // What is kept is taken once the page stands: else the first picture would differ from the server's.
    skipHydration: true,
  }),
);

/** Turns sentences and figures into what is liked. */
export function useWords(): (text: string) => string {
  const units = useWays((w) => w.units);
  const days = useWays((w) => w.days);
  return useMemo(() => (text) => preferred(text, { units, days }), [units, days]);
}

/** For columns of numbers under one unit: what it is called, and a number of ours in it. */
export function useMeasure(unit: 'g' | 'mm'): { unit: string; show: (value: number, decimals?: number) => string } {
  const units = useWays((w) => w.units);
  return useMemo(() => {
    const { unit: called, per } = preferredUnit(unit, units);
    // A number in a larger unit wants more decimals to say as much.
    return { unit: called, show: (value, decimals = 0) => (value / per).toFixed(per === 1 ? decimals : decimals + 1) };
  }, [unit, units]);
}
