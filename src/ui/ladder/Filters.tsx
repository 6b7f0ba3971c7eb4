'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { Link } from '../frame/Link';
import { currencySign, manyBoards, roleOf, rungNames } from '@/core';
import { NumberBox } from '../form/NumberBox';
import { useMeasure } from '../frame/ways';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';
import { fixFilters, madeOf, type sortKeys } from './stop';

export type View = {
  q: string;
  sort: (typeof sortKeys)[number];
  hide: readonly string[];
  stops: number | null;
  most: number | null;
  light: number | null;
  fix: (typeof fixFilters)[number] | null;
  of: (typeof madeOf)[number] | null;
  with: string | null;
  home: boolean;
};

/** Bounds and the rung a board stops at; all in the address, so that a view can be kept as a link. */
export function Filters({
  view,
  looking,
  onChange,
}: {
  view: View;
  looking: boolean;
  onChange: (change: Partial<Pick<View, 'stops' | 'most' | 'light' | 'fix' | 'of' | 'with' | 'home'>>) => void;
}) {
  const { build, ranking } = useRoom('build', 'ranking');
  const { shelf } = useShelf();
  const controllers = (shelf?.boards ?? []).filter((b) => roleOf(b) === 'controller');
  const mass = useMeasure('g');
  const box = (label: string, key: 'most' | 'light', unit?: string) => (
    <NumberBox
      bare
      mayBeUnknown
      label={label}
      empty={label}
      {...(unit === undefined ? {} : { unit })}
      value={view[key]}
      onChange={(v) => onChange({ [key]: v ? Math.round(v) : null })}
      width={84}
    />
  );
  return (
    <Box
      className="no-print"
      sx={{
        display: 'flex',
        gap: 2,
        px: 2,
        minHeight: 27,
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        alignItems: 'center',
        fontSize: 12,
        borderBottom: '1px solid var(--hair)',
      }}
    >
      <Select
        displayEmpty
        value={view.stops ?? ''}
        onChange={(e) => onChange({ stops: Number(e.target.value) || null })}
        inputProps={{ 'aria-label': 'Stops at' }}
        renderValue={(v) => (v ? `stops at ${rungNames[Number(v) - 1]}` : 'stops anywhere')}
        sx={{ width: 130 }}
      >
        <MenuItem value="">stops anywhere</MenuItem>
        {rungNames.map((n, i) => (
          <MenuItem key={n} value={i + 1}>
            stops at {n}
          </MenuItem>
        ))}
      </Select>
      <Select
        displayEmpty
        value={view.fix ?? ''}
        onChange={(e) => onChange({ fix: (e.target.value || null) as View['fix'] })}
        inputProps={{ 'aria-label': 'Mended by' }}
        renderValue={(v) => (v ? `mended by ${v}` : 'mended or not')}
        sx={{ width: 168 }}
      >
        <MenuItem value="">mended or not</MenuItem>
        {fixFilters.map((f) => (
          <MenuItem key={f} value={f}>
            mended by {f}
          </MenuItem>
        ))}
      </Select>
      {controllers.length > 0 && (
        <>
          <Select
            displayEmpty
            value={view.of ?? ''}
            onChange={(e) => onChange({ of: (e.target.value || null) as View['of'] })}
            inputProps={{ 'aria-label': 'Bought as' }}
            renderValue={(v) => v || 'boards and sets'}
            sx={{ width: 122 }}
          >
            <MenuItem value="">boards and sets</MenuItem>
            {madeOf.map((m) => (
              <MenuItem key={m} value={m}>
                {m}
              </MenuItem>
            ))}
          </Select>
          <Select
            displayEmpty
            value={view.with ?? ''}
            onChange={(e) => onChange({ with: e.target.value || null })}
            inputProps={{ 'aria-label': 'With this controller' }}
            renderValue={(v) => (v ? `with ${controllers.find((b) => b.id === v)?.name ?? v}` : 'any controller')}
            sx={{ width: 128 }}
          >
            <MenuItem value="">any controller</MenuItem>
            {controllers.map((b) => (
              <MenuItem key={b.id} value={b.id}>
                {b.name}
              </MenuItem>
            ))}
          </Select>
        </>
      )}
      <Button aria-pressed={view.home} onClick={() => onChange({ home: !view.home })} sx={{ whiteSpace: 'nowrap' }}>
        {view.home ? '✓ ' : ''}I own one
      </Button>
      {looking && <span role="status">fixes are looked for ...</span>}
      {box(`at most ${currencySign(build.currency)}`, 'most')}
      {box(`at most ${mass.unit}`, 'light', 'g')}
      <Box sx={{ flex: 1 }} />
      {ranking.progress && (
        <>
          <progress value={ranking.progress.done} max={ranking.progress.total} aria-label="Boards that have climbed" />{' '}
          {ranking.progress.done} of {ranking.progress.total}
          {ranking.partial ? ', the likely ones first' : ''}
          <Button onClick={ranking.stop}>Stop</Button>
        </>
      )}
      <Box
        component="span"
        sx={{ display: { xs: 'inline', sm: (shelf?.boards.length ?? 0) > manyBoards ? 'inline' : 'none' } }}
      >
        <Link href={`/ranked/${build.id}`}>On the server</Link>
      </Box>
    </Box>
  );
}
