'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { parseAsString, useQueryState } from 'nuqs';
import { useMemo, useState } from 'react';
import { briefOf, briefText, failedLines, list, type Board, type Build } from '@/core';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { candidatesOf } from '../room/use-candidate';
import { useShelf } from '../room/use-shelf';
import { plainText, useTakeOut } from '../frame/take-out';

/** The least that any board must have, before any board is looked at: to be sent to a seller, and held against the shelf. */
export function BriefScreen() {
  const { build, ranking } = useRoom('build', 'ranking');
  const { shelf } = useShelf();
  const [picked, setPicked] = useQueryState('line', parseAsString);
  const lines = useMemo(() => briefOf(build), [build]);
  const { ranked } = ranking;
  const boards = useMemo(() => shelf && candidatesOf(build, shelf.boards, ranked ?? []), [build, shelf, ranked]);
  const held = useMemo(() => (boards ? heldAgainst(build, boards) : null), [build, boards]);
  const words = useWords();
  useTakeOut(() => [
    { says: 'Save the brief as text', file: plainText(`${build.id}-brief`), text: () => briefText(build) },
  ]);
  const line = lines.find((l) => l.id === picked);
  const shown = held?.filter((h) => (line ? h.fails.includes(line.id) : h.fails.length === 0));
  return (
    <Box sx={{ p: 2, maxWidth: 1180 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mb: 0.5 }}>
        <Box component="h1" sx={{ m: 0, fontSize: 20, fontWeight: 620, fontStretch: '88%', flex: 1 }}>
          The buyer&apos;s brief
        </Box>
        <CopyText text={briefText(build)} />
      </Box>
      <Box sx={{ fontSize: 12.5, color: 'text.secondary', mb: 1 }}>
        The least that any board must have to carry {build.name}. A board that fails one line cannot, unless something
        is bought besides; one that meets them all may still stop at how things are wired: the ladder says.
      </Box>
      <table aria-label="The brief">
        <thead>
          <tr>
            <th>Any board must have</th>
            <th>Because of</th>
            <th>What would lower it</th>
            <th className="n">Boards that fail</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => {
            const count = held?.filter((h) => h.fails.includes(l.id)).length;
            return (
              <tr key={l.id}>
                <td>{words(l.asks)}</td>
                <td>{list(l.because)}</td>
                <td>{words(l.lower ?? '')}</td>
                <td className="n">
                  {count ? (
                    <Button
                      sx={{ py: 0, my: -0.25 }}
                      aria-label={`${count} of ${held!.length} fail: ${l.asks}`}
                      aria-pressed={l.id === picked}
                      onClick={() => void setPicked(l.id === picked ? null : l.id)}
                    >
                      {count} of {held!.length}
                    </Button>
                  ) : (
                    (count ?? '')
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {held && shown && (
        <section aria-label="Boards">
          <Typography variant="h2" sx={{ mt: 2 }}>
            {line
              ? `${shown.length} boards and sets fail: ${line.asks}`
              : `${shown.length} of ${held.length} boards and sets fail no line`}
          </Typography>
          {shown.length === 0 && (
            <Box sx={{ fontSize: 13 }}>None. The lines that fail most boards are the ones to lower first.</Box>
          )}
          <Box sx={{ columns: '3 220px', fontSize: 13 }}>
            {shown.map(({ board }) => (
              <div key={board.id}>
                <Link href={`/b/${build.id}/board/${board.id}`}>{board.name}</Link>, {board.maker}
              </div>
            ))}
          </Box>
        </section>
      )}
    </Box>
  );
}

function heldAgainst(build: Build, boards: readonly Board[]): { board: Board; fails: string[] }[] {
  return boards.map((board) => ({ board, fails: failedLines(build, board).map((l) => l.id) }));
}

function CopyText({ text }: { text: string }) {
  const [said, setSaid] = useState('');
  return (
    <>
      <Box component="span" role="status" sx={{ fontSize: 12 }}>
        {said}
      </Box>
      <Button
        variant="outlined"
        onClick={() =>
          void navigator.clipboard.writeText(text).then(
            () => setSaid('Copied.'),
            () => setSaid('The browser did not let it be copied: save it as text.'),
          )
        }
      >
        Copy for a seller
      </Button>
    </>
  );
}
