import { useMemo } from 'react';
import { evaluate, type Board, type Build, type Climb } from '@/core';
import { useRoom } from './store';

/**
 * A climb with its figures and wires: those of a very large shelf come without, and climb anew when they are looked at. `stale`: the build has changed since, so that what
 * is to be kept of it climbs anew as well.
 */
export function wholeClimb(build: Build, board: Board | null, climb: Climb, stale = false): Climb {
  return (climb.slim || stale) && board ? evaluate(build, board) : climb;
}

export function useWholeClimb(climb: Climb | null, board: Board | null): Climb | null {
  const { build } = useRoom('build');
  return useMemo(() => climb && wholeClimb(build, board, climb), [climb, board, build]);
}
