'use client';

import Box from '@mui/material/Box';
import { parseAsStringLiteral, useQueryState } from 'nuqs';
import { Steps } from '../after/Steps';
import { benchOf, buildSheet, benchScene, hookupNetlist, spiceNetlist } from '@/core';
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
          {scene === 'power-up' && (
            <Box
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.8fr) minmax(0, 1fr)' },
                gap: 3,
              }}
            >
              <Box>
                <FirstPower {...chosen} />
              </Box>
              <BeforePower {...chosen} />
            </Box>
          )}
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

/** What is done before the pack is plugged in, and then: the steps of the build sheet, with its ticks. */
function BeforePower({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const sheet = buildSheet(build, board, climb);
  return (
    <aside aria-label="At the bench">
      <Steps title="Before power" steps={sheet.checks} board={board.id} />
      <Steps title="Power up" steps={sheet.powerUp} board={board.id} />
    </aside>
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
