'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { parseAsString, useQueryState } from 'nuqs';
import { assumedIn, counted, leadWords, outcomeWords, peripheralsToCsv } from '@/core';
import { csv, useTakeOut } from '../frame/take-out';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { Term } from '../frame/Term';
import { BuildDoubts } from '../decide/BuildDoubts';
import { AddPart } from './AddPart';
import { Craft } from './Craft';
import { PartList } from './PartList';
import { PasteParts } from './PasteParts';
import { PartSheet } from './PartSheet';
import { TallyBox } from './TallyBox';
import { History } from './History';
import { Variants } from './Variants';

/** What is only usual: a verdict is no better than that. */
function Assumed() {
  const { build } = useRoom('build');
  const { craft, parts } = assumedIn(build);
  if (craft + parts === 0) return null;
  const of = [...(craft > 0 ? [`${craft} of the craft`] : []), ...(parts > 0 ? [`${parts} of the parts`] : [])];
  return (
    <Box role="note" sx={{ mt: 1, fontSize: 12.5 }}>
      <strong>{counted(craft + parts, 'figure')}</strong> ({of.join(', ')}) {craft + parts === 1 ? 'is' : 'are'} only
      what is usual: put your own in before you buy, those of the craft under Change, those of a part by a click on its
      name.
    </Box>
  );
}

export function BuildScreen() {
  const { build, ranking } = useRoom('build', 'ranking');
  const [selected, setSelected] = useQueryState('part', parseAsString);
  const part = build.parts.find((p) => p.id === selected) ?? null;
  const first = ranking.ranked?.[0];
  useTakeOut(() => [
    {
      says: 'Save the parts as CSV',
      file: csv(`${build.id}-parts`),
      text: () => peripheralsToCsv(build.parts.map((p) => p.peripheral)),
    },
  ]);
  return (
    <Box sx={{ display: 'flex', flexDirection: { xs: 'column', md: 'row' }, height: { md: '100%' } }}>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, overflow: { md: 'auto' }, px: 2, py: 1.5 }}>
        <h1 className="sr">Build</h1>
        <Craft />
        <Assumed />
        <BuildDoubts />
        <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 2, mt: 2, mb: 1, flexWrap: 'wrap' }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            What must hang off the board, most important first: <Term>must, should, nice</Term>
          </Typography>
          <ForWriters>
            <PasteParts />
            <AddPart onAdded={(id) => void setSelected(id)} />
          </ForWriters>
        </Box>
        <PartList selected={selected} onSelect={(id) => void setSelected(id)} />
      </Box>
      <Box
        component="aside"
        aria-label="Sums and details"
        sx={{
          width: { xs: 'auto', md: 312 },
          flexShrink: 0,
          overflow: { md: 'auto' },
          borderLeft: { md: '1px solid var(--hair)' },
          borderTop: { xs: '1px solid var(--hair)', md: 0 },
          px: 2,
          py: 1.5,
          background: 'var(--sheet)',
        }}
      >
        <TallyBox />
        {first && build.parts.length > 0 && (
          <Box sx={{ mt: 1, fontSize: 12.5 }}>
            {leadWords(first.climb)}{' '}
            <Link href={`/b/${build.id}/board/${first.climb.boardId}`}>{first.climb.boardName}</Link>,{' '}
            {outcomeWords(first.climb)}. <Link href={`/b/${build.id}/ladder`}>See the ladder</Link>
          </Box>
        )}
        <Box sx={{ mt: 0.5, fontSize: 12.5 }}>
          <Link href={`/b/${build.id}/brief`}>The buyer&apos;s brief</Link>: the least that any board must have.
        </Box>
        <Variants />
        <History />
        {part && <PartSheet key={part.id} part={part} onClose={() => void setSelected(null)} />}
      </Box>
    </Box>
  );
}
