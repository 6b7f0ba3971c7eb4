'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { adviceWords, sentenceOf, type Board, type Finding } from '@/core';
import { useWords } from '../frame/ways';
import { stateColour } from '../marks/words';
import { SaysWho } from './SaysWho';

/** One finding: state, sentence, fix, and on demand where its figures come from. `board`: whose it is, to try another word on it. */
export function FindingLine({ finding, board }: { finding: Finding; board?: Board }) {
  const [open, setOpen] = useState(false);
  const words = useWords();
  return (
    <Box component="li" sx={{ py: 0.25, fontSize: 12.5, lineHeight: 1.35 }}>
      <Box component="span" sx={{ color: stateColour[finding.state], fontWeight: 600, mr: 0.75 }}>
        {finding.state}
      </Box>
      {words(sentenceOf(finding))}
      {finding.fix && (
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {' '}
          Fix: {words(adviceWords(finding.fix))}
        </Box>
      )}
      {finding.grounds.length > 0 && (
        <Button
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          sx={{ fontSize: 12, py: 0, px: 0.5, ml: 0.5, textDecoration: 'underline' }}
        >
          says who?
        </Button>
      )}
      {open && <SaysWho grounds={finding.grounds} {...(board ? { board } : {})} />}
    </Box>
  );
}
