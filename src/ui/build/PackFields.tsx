'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { chemistries, type Build } from '@/core';
import { Choice } from '../form/Choice';
import { FigureBox } from '../form/FigureBox';
import { NumberBox } from '../form/NumberBox';

type Pack = Build['pack'];

/** The pack, and the others that the craft is to fly with: all that is said of volts must hold for each. */
export function Packs({
  packs: [first, ...others],
  onChange,
}: {
  packs: [Pack, ...Pack[]];
  onChange: (pack: Pack, others: Pack[]) => void;
}) {
  return (
    <>
      <PackFields pack={first} onChange={(next) => onChange({ ...first, ...next }, others)} />
      {others.map((pack, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`Pack ${i + 2}`}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-end', width: '100%' }}
        >
          <Box sx={{ fontSize: 12, color: 'text.secondary', pb: 0.5, width: 48 }}>Pack {i + 2}</Box>
          <PackFields
            pack={pack}
            onChange={(next) =>
              onChange(
                first,
                others.map((p, n) => (n === i ? { ...p, ...next } : p)),
              )
            }
          />
          <Button
            aria-label={`Remove pack ${i + 2}`}
            onClick={() =>
              onChange(
                first,
                others.filter((_, n) => n !== i),
              )
            }
            sx={{ px: 0.75 }}
          >
            Remove
          </Button>
        </Box>
      ))}
      {others.length < 5 && (
        <Button onClick={() => onChange(first, [...others, { ...first, massG: { unknown: true } }])} sx={{ px: 0.75 }}>
          Another pack
        </Button>
      )}
    </>
  );
}

function PackFields({ pack, onChange }: { pack: Pack; onChange: (next: Partial<Pack>) => void }) {
  return (
    <>
      <NumberBox
        label="Cells"
        whole
        min={1}
        max={14}
        width={56}
        value={pack.cells}
        onChange={(v) => v && onChange({ cells: v })}
      />
      <Choice
        label="Chemistry"
        value={pack.chemistry}
        words={chemistries}
        onChange={(chemistry) => onChange({ chemistry })}
      />
      <FigureBox label="Pack" unit="g" figure={pack.massG} onChange={(massG) => onChange({ massG })} />
      <FigureBox
        label="One cell's resistance"
        unit="mΩ"
        figure={pack.cellMilliohm ?? { unknown: true }}
        onChange={(cellMilliohm) => onChange({ cellMilliohm })}
      />
      <NumberBox
        label="Pack leads"
        unit="AWG"
        whole
        min={6}
        max={30}
        width={96}
        value={pack.leadGauge ?? null}
        mayBeUnknown
        onChange={(v) => onChange({ leadGauge: v ?? undefined })}
      />
      <FigureBox
        label="Gives, at most"
        unit="A"
        max={1000}
        figure={pack.mostAmps ?? { unknown: true }}
        onChange={(mostAmps) => onChange({ mostAmps })}
      />
      <FigureBox
        label="Holds"
        unit="mAh"
        max={100000}
        figure={pack.capacityMah ?? { unknown: true }}
        onChange={(capacityMah) => onChange({ capacityMah })}
      />
    </>
  );
}
