import type { Build } from '../records/build';

/** So many sets by hand a build may hold; the oldest go. */
const most = 40;

/** The build with a set that takes part however it ranks. */
export function withSet(build: Build, id: string): Build {
  return { ...build, sets: [...new Set([...build.sets, id])].slice(-most) };
}

export function withoutSet(build: Build, id: string): Build {
  return { ...build, sets: build.sets.filter((kept) => kept !== id) };
}
