import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { evaluate, firstSentence, ifWordCounts, ruleOfWords, type Board, type Ground } from '@/core';
import { useWords } from '../frame/ways';
import { SourcePlace } from '../intake/SourcePlace';
import { verdictColour } from '../marks/words';
import { useRoom } from '../room/store';
import { today } from '../room/today';

export const speakers: Record<Ground['origin'], string> = {
  claim: 'shop page',
  manual: 'manual',
  print: 'read off the board',
  report: 'other buyers',
  tested: 'measured by others',
  measured: 'measured by you',
  assumed: "a rule of Rung's",
  unknown: 'nobody',
  plan: 'your plan',
};

/** The figures a finding leaned on, with who says them and since when. `board`: whose they are, so that another word can be tried. */
export function SaysWho({ grounds, board }: { grounds: Ground[]; board?: Board }) {
  return (
    <>
      <Box component="table" sx={{ my: 0.5, maxWidth: 760, background: 'var(--paper)' }}>
        <thead>
          <tr>
            <th>Figure</th>
            <th>Value</th>
            <th>Says who</th>
            <th>Read on</th>
          </tr>
        </thead>
        <tbody>
          {grounds.flatMap((g, i) => [
            <Row key={i} ground={g} />,
            ...(g.also ?? []).map((word, n) => (
              <Row key={`${i} ${n}`} ground={word} besides={board ? { of: g, at: n, board } : {}} />
            )),
          ])}
        </tbody>
      </Box>
      {grounds.some((g) => g.also) && (
        <Box sx={{ fontSize: 11, color: 'text.secondary', maxWidth: 760 }}>{ruleOfWords}</Box>
      )}
    </>
  );
}

type Besides = { of: Ground; at: number; board: Board } | Record<string, never>;

/** `besides`: a word that does not count, of which figure. */
function Row({ ground, besides }: { ground: Ground; besides?: Besides }) {
  const words = useWords();
  return (
    <Box component="tr" sx={besides ? { color: 'text.secondary' } : {}}>
      <td>{besides ? 'not counted' : ground.what}</td>
      <Box component="td" sx={{ whiteSpace: 'nowrap' }}>
        {words(ground.figure)}
      </Box>
      <td>
        {speakers[ground.origin]}
        {ground.source ? `: ${ground.source}` : ''}
        {ground.place && <SourcePlace place={ground.place} what={ground.what} />}
        {besides?.of && <IfTrue of={besides.of} at={besides.at} board={besides.board} figure={ground.figure} />}
      </td>
      <Box component="td" sx={{ whiteSpace: 'nowrap' }}>
        {words(ground.seen ?? '')}
      </Box>
    </Box>
  );
}

/** What the verdict would be if a word that does not count were true after all. */
function IfTrue({ of, at, board, figure }: { of: Ground; at: number; board: Board; figure: string }) {
  const words = useWords();
  const { build } = useRoom('build');
  const [asked, setAsked] = useState(false);
  const changed = asked ? ifWordCounts(board, of, at, today()) : null;
  const climb = changed && evaluate(build, changed);
  const stop = climb?.rungs.find((r) => r.rung === climb.stopsAt);
  return (
    <>
      <Button
        size="small"
        sx={{ fontSize: 11, py: 0 }}
        onClick={() => setAsked(!asked)}
        aria-label={`what if it is true? ${of.what}, ${figure}`}
      >
        what if it is true?
      </Button>
      {asked && !climb && (
        <span role="status">This figure hangs on more than one; try it in the board&apos;s editor.</span>
      )}
      {climb && (
        <span role="status">
          then the board <b style={{ color: verdictColour[climb.verdict] }}>{climb.verdict}</b>
          {stop ? words(`: ${firstSentence(stop)}`) : ''}
        </span>
      )}
    </>
  );
}
