'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { askServer } from '../room/ask-server';

/**
 * What the server answers to what a screen asks it. Where it does not, `unanswered` says so with a way to ask again: nothing is taken for empty that has only not come. `what`: as
 * that sentence begins, "The history".
 */
export function useAsked<T extends object>(
  what: string,
  key: readonly unknown[],
  path: string,
): { said: T | undefined; unanswered: ReactNode; askAgain: () => void } {
  const { data, error, refetch } = useQuery({
    queryKey: key,
    queryFn: async () => {
      const { ok, said } = await askServer<T>(path, {}, 'The server does not answer.');
      if (!ok) throw new Error(said.sentence);
      return said as T;
    },
  });
  const askAgain = () => void refetch();
  return {
    said: data,
    askAgain,
    unanswered: error && <Unanswered what={what} stale={data !== undefined} why={error.message} onAgain={askAgain} />,
  };
}

/** `stale`: what came earlier is still shown. */
export function Unanswered({
  what,
  stale = false,
  why,
  onAgain,
}: {
  what: string;
  stale?: boolean;
  why: string;
  onAgain: () => void;
}) {
  return (
    <Box role="status" sx={{ fontSize: 12.5 }}>
      {what} {stale ? 'may have changed since' : 'cannot be shown'}: {why}{' '}
      <Button aria-label={`Ask again: ${what}`} onClick={onAgain}>
        Ask again
      </Button>
    </Box>
  );
}
