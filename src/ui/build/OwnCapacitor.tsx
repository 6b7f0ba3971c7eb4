'use client';

import { useState } from 'react';
import { useRoom } from '../room/store';
import { NumberBox } from '../form/NumberBox';

/** A capacitor the buyer has. It counts only once both figures are said: a rating that nobody states is never taken for enough. */
export function OwnCapacitor() {
  const { build, edit } = useRoom('build', 'edit');
  const [said, setSaid] = useState<{ microfarads: number | null; volts: number | null }>({
    microfarads: null,
    volts: null,
  });
  const { microfarads, volts } = build.capacitor ?? said;
  const put = (next: typeof said) => {
    setSaid(next);
    edit('capacitor', (b) => ({
      ...b,
      capacitor:
        next.microfarads !== null && next.volts !== null
          ? { microfarads: next.microfarads, volts: next.volts }
          : undefined,
    }));
  };
  return (
    <>
      <NumberBox
        label="Capacitor at home"
        empty="none"
        unit="µF"
        min={1}
        max={10000}
        width={118}
        value={microfarads}
        mayBeUnknown
        onChange={(v) => put({ microfarads: v, volts })}
      />
      {microfarads !== null && (
        <NumberBox
          label="rated"
          unit="V"
          min={1}
          max={200}
          value={volts}
          mayBeUnknown
          onChange={(v) => put({ microfarads, volts: v })}
        />
      )}
    </>
  );
}
