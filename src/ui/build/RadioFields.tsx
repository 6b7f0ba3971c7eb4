'use client';

import { type Build } from '@/core';
import { Said } from '../shelf/Said';
import { NumberBox } from '../form/NumberBox';

type Radio = NonNullable<Build['radio']>;

/** What a radio speaks: its system as its maker names it, and its band. Without a system there is none. */
export function RadioFields({
  label,
  radio,
  onChange,
}: {
  label: string;
  radio: Radio | undefined;
  onChange: (radio: Radio | undefined) => void;
}) {
  return (
    <>
      <Said
        label={label}
        empty
        width={170}
        value={radio?.system ?? ''}
        onSay={(system) => onChange(system === '' ? undefined : { ...radio, system })}
      />
      {radio && (
        <NumberBox
          label="Band"
          unit="GHz"
          min={0.01}
          max={100}
          width={86}
          mayBeUnknown
          value={radio.bandGHz ?? null}
          onChange={(v) => onChange({ ...radio, bandGHz: v ?? undefined })}
        />
      )}
    </>
  );
}
