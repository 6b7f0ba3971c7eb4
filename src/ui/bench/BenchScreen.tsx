'use client';

import Box from '@mui/material/Box';
import { parseAsStringLiteral, useQueryState } from 'nuqs';
import { benchOf, benchScene, hookupNetlist, spiceNetlist } from '@/core';
import { WithBoard, type Chosen } from '../after/use-chosen';
import { useRoom } from '../room/store';
import { useTakeOut } from '../frame/take-out';
import { Desk } from './Desk';
import { FirstPower } from './FirstPower';
import { Meter } from './Meter';
import { OneOf } from './OneOf';
import { Practice } from './Practice';
import { Throttle } from './Throttle';
import { WhatIf } from './WhatIf';

const scenes = ['power-up', 'desk', 'sag', 'faults', 'meter', 'practice'] as const;
const names: Record<(typeof scenes)[number], string> = {
  'power-up': 'First power',
  desk: 'On the desk',
  sag: 'Throttle',
  faults: 'What if',
  meter: 'Meter',
  practice: 'Practice',
};

/** A prediction of what the bench will show, from the solved circuit, to be held against what it does show. */
export function BenchScreen() {
  const [scene, setScene] = useQueryState('scene', parseAsStringLiteral(scenes).withDefault('power-up'));
  return (
    <WithBoard title="Bench">
      {(chosen) => (
        <>
          <Box sx={{ display: 'flex', gap: 1, mb: 1, flexWrap: 'wrap' }} role="group" aria-label="Scene">
            <OneOf of={scenes} at={scene} says={(s) => names[s]} onPick={(s) => void setScene(s)} />
            <TakeSpice {...chosen} />
          </Box>
          <Box sx={{ fontSize: 12.5, color: 'text.secondary', mb: 1 }}>
            The circuit of this hookup, solved: a prediction from the figures, not a measurement. Propellers off,
            aerials on, limiter first.
          </Box>
          {scene === 'power-up' && <FirstPower {...chosen} />}
          {scene === 'desk' && <Desk {...chosen} />}
          {scene === 'sag' && <Throttle {...chosen} />}
          {scene === 'faults' && <WhatIf {...chosen} />}
          {scene === 'meter' && <Meter {...chosen} />}
          {scene === 'practice' && <Practice {...chosen} />}
        </>
      )}
    </WithBoard>
  );
}

/** The circuit for any simulator that reads SPICE. */
function TakeSpice({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  useTakeOut(() => [
    {
      says: 'Save the circuit as SPICE netlist',
      file: { name: `${build.id}-${board.id}.cir`, type: 'text/plain' },
      text: () => {
        const bench = benchOf(build, board, climb);
        return spiceNetlist(hookupNetlist(bench.build, bench.board, bench.hookup, benchScene({})));
      },
    },
  ]);
  return null;
}
