import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** At which stop the tour is; null: nobody is on it. Of this tab alone. */
export const useTour = create<{ at: number | null; go: (at: number | null) => void }>()(
  persist((set) => ({ at: null, go: (at) => set({ at }) }), {
    name: 'rung tour',
    storage: createJSONStorage(() => sessionStorage),
    skipHydration: true,
  }),
);
