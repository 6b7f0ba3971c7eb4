'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useColorScheme } from '@mui/material/styles';
import { counted, currencySign, patternWords, pickedName } from '@/core';
import { useRoom, useRoomPart } from '../room/store';
import { Share } from '../people/Share';
import { useWords } from './ways';
import { Search } from './Search';
import { Shortcuts } from './Shortcuts';
import { SaveMark } from './SaveMark';
import { TakeOut } from './TakeOut';

/** The build as one sentence, with undo, saving and the light. */
export function BuildLine() {
  const { build, rights, undo, redo } = useRoom('build', 'rights', 'undo', 'redo');
  const { canUndo, canRedo } = useRoomPart(({ history }) => ({
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  }));
  const { mode, systemMode, setMode } = useColorScheme();
  const words = useWords();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  const mounts = build.frame.mounts.map(patternWords).join(' or ') || 'tray';
  const facts = [
    `${build.pack.cells}S`,
    mounts,
    counted(build.parts.length, 'part'),
    `limit ${build.limits.takeOffMassG} g`,
    `budget ${currencySign(build.currency)}${(build.limits.budgetCents / 100).toFixed(0)}`,
    `pick: ${build.picks.length > 0 ? pickedName(build.picks.at(-1)!) : 'none'}`,
  ];
  return (
    <Box
      component="header"
      className="no-print"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 2,
        minHeight: 40,
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        borderBottom: '1px solid var(--hair)',
        whiteSpace: 'nowrap',
        overflow: 'hidden',
      }}
    >
      <Box sx={{ flex: { xs: '1 1 100%', md: 1 }, overflow: 'hidden', textOverflow: 'ellipsis' }}>
        <Box component="strong" sx={{ fontWeight: 640, fontSize: 15 }}>
          {build.name}
        </Box>
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {' · '}
          {words(facts.join(' · '))}
        </Box>
      </Box>
      <Search />
      <TakeOut />
      <Share />
      {rights.mayWrite ? (
        <>
          <SaveMark />
          <Button onClick={undo} disabled={!canUndo} title="Ctrl+Z">
            Undo
          </Button>
          <Button onClick={redo} disabled={!canRedo} title="Ctrl+Shift+Z">
            Redo
          </Button>
        </>
      ) : (
        <Box component="span" sx={{ fontSize: 12 }}>
          {rights.shared ? 'Shared with you to look at' : 'You may look, not change'}
        </Box>
      )}
      <Button onClick={() => setMode(dark ? 'light' : 'dark')}>{dark ? 'Day' : 'Night'} bench</Button>
      <Shortcuts />
    </Box>
  );
}
