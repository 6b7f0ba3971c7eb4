import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { parseAsString, useQueryState } from 'nuqs';
import { benchOf, faultsFor, type BenchFault } from '@/core';
import type { Chosen } from '../after/use-chosen';
import { useRoom } from '../room/store';

/** The fault that is put into the circuit, kept in the address; none is one of them. */
export function useFault({ board, climb }: Chosen): {
  fault: BenchFault;
  faults: BenchFault[];
  put: (id: string) => void;
} {
  const { build } = useRoom('build');
  const [asked, setAsked] = useQueryState('fault', parseAsString.withDefault('healthy'));
  const faults = faultsFor(benchOf(build, board, climb));
  return {
    fault: faults.find((f) => f.id === asked) ?? faults[0]!,
    faults,
    put: (id) => void setAsked(id === 'healthy' ? null : id),
  };
}

export function FaultChoice({ fault, faults, put }: ReturnType<typeof useFault>) {
  return (
    <Select
      value={fault.id}
      onChange={(e) => put(e.target.value)}
      inputProps={{ 'aria-label': 'What is wrong' }}
      sx={{ maxWidth: '100%' }}
    >
      {faults.map((f) => (
        <MenuItem key={f.id} value={f.id}>
          {f.name}
        </MenuItem>
      ))}
    </Select>
  );
}
