import type { RungState, Verdict } from '@/core';

export const stateColour: Record<RungState, string> = {
  holds: 'var(--holds)',
  strained: 'var(--strained)',
  unknown: 'var(--unknown)',
  breaks: 'var(--breaks)',
};

export const verdictColour: Record<Verdict, string> = {
  fits: 'var(--holds)',
  'fits with work': 'var(--strained)',
  'cannot say yet': 'var(--unknown)',
  'does not fit': 'var(--breaks)',
};
