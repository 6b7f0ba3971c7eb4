import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { beside, unitedBoard, type Board, type Met } from '@/core';
import { today } from '../room/today';

export type Answer = 'merge' | 'theirs' | 'beside' | 'leave';

const answers: Record<Answer, string> = {
  merge: 'merge',
  theirs: 'theirs instead',
  beside: 'beside mine',
  leave: 'leave it',
};
const mostShown = 200;

/** Boards of a file that the shelf has, or may have: what both say differently, and what is to become of each. */
export function MergePreview({
  met,
  shelf,
  onDecide,
}: {
  met: readonly Met[];
  shelf: readonly Board[];
  onDecide: (boards: Board[]) => void;
}) {
  const [said, setSaid] = useState<Record<number, Answer>>({});
  const united = useMemo(() => met.slice(0, mostShown).map(unite), [met]);
  // The same board is merged unless somebody says otherwise; what may be another one is asked.
  const answer = (i: number): Answer | null => said[i] ?? (met[i]!.how === 'same' ? 'merge' : null);
  const open = met.filter((_, i) => answer(i) === null).length;
  const decided = (m: Met, i: number): Board[] => {
    switch (answer(i)) {
      case 'merge':
        return [(united[i] ?? unite(m)).board];
      case 'theirs':
        return [{ ...m.theirs, id: m.own.id }];
      case 'beside':
        return [beside(m.theirs, shelf)];
      default:
        return [];
    }
  };
  const take = async () => {
    const boards: Board[] = [];
    for (const [i, m] of met.entries()) {
      // Thousands of boards take seconds; the page stays free.
      if (i % 100 === 99) await new Promise((done) => setTimeout(done));
      boards.push(...decided(m, i));
    }
    onDecide(boards);
  };
  return (
    <Box role="group" aria-label="Boards that are on the shelf already" sx={{ mt: 1, fontSize: 12.5 }}>
      <Box sx={{ maxHeight: 320, overflow: 'auto' }}>
        <table>
          <thead>
            <tr>
              <th>In the file</th>
              <th>On the shelf</th>
              <th>Said differently: mine, theirs, what counts when merged</th>
              <th>What becomes of it</th>
            </tr>
          </thead>
          <tbody>
            {met.slice(0, mostShown).map((m, i) => (
              <tr key={i}>
                <td>
                  {m.theirs.maker} {m.theirs.name}, revision {m.theirs.revision}
                </td>
                <td>
                  {m.how === 'same'
                    ? 'the same'
                    : `${m.own.maker} ${m.own.name}, revision ${m.own.revision}: ${m.how === 'near' ? 'is it that one?' : 'another revision'}`}
                </td>
                <td>
                  {united[i]!.conflicts.length === 0
                    ? 'nothing'
                    : united[i]!.conflicts.map((c) => (
                        <div key={c.says}>
                          {c.says}: {c.own}, {c.theirs}, <b>{c.counts}</b>
                        </div>
                      ))}
                </td>
                <td>
                  {(Object.keys(answers) as Answer[]).map((a) => (
                    <Button
                      key={a}
                      size="small"
                      variant={answer(i) === a ? 'contained' : 'text'}
                      aria-pressed={answer(i) === a}
                      aria-label={`${answers[a]}: ${m.theirs.name}`}
                      onClick={() => setSaid({ ...said, [i]: a })}
                    >
                      {answers[a]}
                    </Button>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {met.length > mostShown && (
          <Box>
            The first {mostShown} of {met.length} are listed; of the rest the same ones are merged, the others left.
          </Box>
        )}
      </Box>
      <Button variant="contained" onClick={() => void take()} sx={{ mt: 1 }}>
        {open > 0
          ? `Do this, and leave the ${open === 1 ? 'one that is' : `${open} that are`} not answered`
          : 'Do this'}
      </Button>
    </Box>
  );
}

const unite = (m: Met) => unitedBoard(m.own, m.theirs, m.how, today());
