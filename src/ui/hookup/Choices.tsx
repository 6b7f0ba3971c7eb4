'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { numbered, priceWords, sameNeed, type Board, type Lock } from '@/core';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useExplain } from './use-explain';

/** For the chosen part: each port or rail it could end on, and what that would cost against the best. A click locks it. */
export function Choices({ board, part }: { board: Board; part: string }) {
  const { build, edit } = useRoom('build', 'edit');
  const answers = useExplain(build, board, { about: 'alternatives', part });
  const locks = build.locks[board.id] ?? [];
  const name = numbered(build).parts.find((p) => p.id === part)?.peripheral.name ?? 'Separate ESCs';
  const setLocks = (next: Lock[]) => edit(`lock ${part}`, (b) => ({ ...b, locks: { ...b.locks, [board.id]: next } }));
  return (
    <section aria-label={`Choices for ${name}`}>
      <Typography variant="h2">{name}: other pads</Typography>
      {!answers && (
        <Box role="status" sx={{ color: 'text.secondary', fontSize: 12.5 }}>
          Every choice is being solved ...
        </Box>
      )}
      {answers?.length === 0 && <Box sx={{ fontSize: 12.5 }}>This part has no choice of pads here.</Box>}
      {answers?.map(({ kind, need, which, alternatives }) => {
        let said: string;
        if (kind === 'supply') said = which === undefined ? 'Supply' : `Supply of its ${which}`;
        else if (kind === 'mode') said = 'Way to wire it';
        else said = 'Signal';
        return (
          <Box key={`${kind} ${need}`} sx={{ mt: 0.5 }}>
            <Box sx={{ fontSize: 12, color: 'text.secondary' }}>{said}</Box>
            {alternatives.map((a) => {
              let lock: Lock;
              if (kind === 'supply') lock = { kind, part, supply: need, to: a.to };
              else if (kind === 'mode') lock = { kind: 'mode', part, mode: a.to };
              else lock = { kind: 'link', part, link: need, to: a.to };
              const locked = locks.some(
                (l) => sameNeed(l, lock) && (('to' in l && l.to === a.to) || ('mode' in l && l.mode === a.to)),
              );
              let said: string;
              if (a.chosen) said = 'in use';
              else if (a.price) said = priceWords(a.price, build);
              else said = 'cannot be had';
              let act: string;
              if (locked) act = 'Unlock';
              else if (a.chosen) act = 'Lock';
              else act = 'Use';
              return (
                <Box
                  key={a.to}
                  sx={{
                    display: 'flex',
                    alignItems: 'center',
                    gap: 1,
                    fontSize: 12.5,
                    borderBottom: '1px solid var(--hair)',
                  }}
                >
                  <Box sx={{ width: 92, fontWeight: a.chosen ? 640 : 400 }}>{a.label}</Box>
                  <Box sx={{ flex: 1, color: a.price ? 'text.primary' : 'text.secondary' }}>{said}</Box>
                  {(a.price || locked) && (
                    <ForWriters>
                      <Button
                        aria-pressed={locked}
                        data-choice={`${need}:${a.to}`}
                        onClick={() =>
                          setLocks(
                            locked
                              ? locks.filter((l) => !sameNeed(l, lock))
                              : [...locks.filter((l) => !sameNeed(l, lock)), lock],
                          )
                        }
                        sx={{ px: 0.75, py: 0, minHeight: 24 }}
                      >
                        {act}
                      </Button>
                    </ForWriters>
                  )}
                </Box>
              );
            })}
          </Box>
        );
      })}
    </section>
  );
}
