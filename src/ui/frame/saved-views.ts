import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** The query of a screen's address under a name: what was filtered, sorted and chosen there. */
export interface SavedView {
  screen: string;
  name: string;
  query: string;
}

/** Kept in this browser; the address itself is what others are sent. */
export const useSavedViews = create<{
  views: SavedView[];
  keep: (view: SavedView) => void;
  drop: (view: SavedView) => void;
}>()(
  persist(
    (set) => ({
      views: [],
      keep: (view) => set(({ views }) => ({ views: [...views.filter((v) => !isSame(v, view)), view] })),
      drop: (view) => set(({ views }) => ({ views: views.filter((v) => !isSame(v, view)) })),
    }),
    { name: 'rung saved views', skipHydration: true },
  ),
);

function isSame(a: SavedView, b: SavedView): boolean {
  return a.screen === b.screen && a.name === b.name;
}
