'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { parseAsArrayOf, parseAsBoolean, parseAsString, useQueryStates } from 'nuqs';
import { sideBySide, type Climb, type Ranked } from '@/core';
import { RungMark } from '../marks/RungMark';
import { stateColour, verdictColour } from '../marks/words';
import { plainText, useTakeOut } from '../frame/take-out';
import { useRoom } from '../room/store';
import { candidateOf } from '../room/use-candidate';
import { useShelf } from '../room/use-shelf';
import { wholeClimb } from '../room/use-whole-climb';
import { PickButton } from './PickButton';

const address = { boards: parseAsArrayOf(parseAsString).withDefault([]), all: parseAsBoolean.withDefault(false) };
const most = 5;

/** Two to five boards as upright ladders that share their rungs, and below them only what differs. */
export function CompareScreen() {
  const { ranking } = useRoom('ranking');
  const [{ boards }] = useQueryStates(address);
  const named = ranking.ranked?.filter((r) => boards.includes(r.climb.boardId)) ?? [];
  // Others never stand in for those that are meant.
  if (!ranking.ranked || (ranking.busy && boards.length > 0 && named.length === 0))
    return (
      <Box role="status" sx={{ p: 3, color: 'text.secondary' }}>
        The boards are climbing ...
      </Box>
    );
  return <Compared ranked={ranking.ranked} />;
}

function Compared({ ranked }: { ranked: Ranked[] }) {
  const { build, ranking } = useRoom('build', 'ranking');
  const { shelf } = useShelf();
  const [view, setView] = useQueryStates(address, { history: 'replace' });
  const byId = new Map(ranked.map((r) => [r.climb.boardId, r]));
  const ids = view.boards.filter((id) => byId.has(id));
  const gone = ranking.busy ? [] : view.boards.filter((id) => !byId.has(id));
  const chosen = (ids.length > 0 ? ids : ranked.slice(0, 3).map((r) => r.climb.boardId))
    .slice(0, most)
    .map((id) => byId.get(id)!);
  const whole = chosen.map(({ climb }) =>
    wholeClimb(build, climb.slim ? candidateOf(build, shelf?.boards ?? [], climb.boardId) : null, climb),
  );
  const rows = sideBySide(whole, build).filter((r) => r.group !== 'rungs' && (view.all || r.differs));
  const setIds = (next: string[]) => void setView({ boards: next });
  const places = chosen.map((r) => ranked.indexOf(r));
  const [from, to] = [Math.min(...places), Math.max(...places) + 1];
  /** On along the ladder, as many at a time as stand here. */
  const turn = (by: number) => {
    const start = by > 0 ? to : Math.max(0, from + by);
    setIds(ranked.slice(start, start + chosen.length).map((r) => r.climb.boardId));
  };
  const climbs = chosen.map((r) => r.climb);
  useTakeOut(() => [
    { says: 'Copy the comparison as text', text: () => asText(rows, climbs) },
    {
      says: 'Save the comparison as text',
      file: plainText(`${build.id}-side-by-side`),
      text: () => asText(rows, climbs),
    },
  ]);
  const shownIds = chosen.map((r) => r.climb.boardId);
  return (
    <Box sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 1 }}>
        <Typography variant="h1">Side by side</Typography>
        {chosen.length < most && (
          <Select
            displayEmpty
            value=""
            onChange={(e) => setIds([...shownIds, e.target.value])}
            inputProps={{ 'aria-label': 'Add a board' }}
            renderValue={() => 'Add a board'}
          >
            {ranked
              .filter((r) => !shownIds.includes(r.climb.boardId))
              .slice(0, 60)
              .map((r) => (
                <MenuItem key={r.climb.boardId} value={r.climb.boardId}>
                  {r.climb.boardName}, {r.climb.verdict}
                </MenuItem>
              ))}
          </Select>
        )}
        <Button disabled={from === 0} onClick={() => turn(-chosen.length)}>
          The {chosen.length === 1 ? 'one' : chosen.length} before
        </Button>
        <Button disabled={to >= ranked.length} onClick={() => turn(chosen.length)}>
          The next {chosen.length === 1 ? 'one' : chosen.length}
        </Button>
        <FormControlLabel
          control={
            <Checkbox checked={!view.all} onChange={(e) => void setView({ all: e.target.checked ? null : true })} />
          }
          label="only what differs"
        />
      </Box>
      {gone.length > 0 && (
        <Box role="note" sx={{ mb: 1, fontSize: 13, color: 'error.main' }}>
          {gone.map((id) => candidateOf(build, shelf?.boards ?? [], id)?.name ?? id).join(', ')}{' '}
          {gone.length === 1 ? 'is' : 'are'} not on the ladder: no longer on the shelf, or a set that is not among the
          best.{ids.length === 0 ? ' These are the first of the ladder.' : ''}
        </Box>
      )}
      <table>
        <thead>
          <tr>
            <th />
            {chosen.map((r) => (
              <th key={r.climb.boardId} style={{ verticalAlign: 'bottom' }}>
                <Link href={`/b/${build.id}/board/${r.climb.boardId}`}>{r.climb.boardName}</Link>
                <Box sx={{ color: verdictColour[r.climb.verdict] }}>{r.climb.verdict}</Box>
                place {r.rank}
                {chosen.length > 2 && (
                  <Button onClick={() => setIds(shownIds.filter((id) => id !== r.climb.boardId))}>Remove</Button>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <td style={{ padding: 0, borderBottom: 0 }}>
              <RungNames climb={chosen[0]!.climb} />
            </td>
            {chosen.map((r) => (
              <td key={r.climb.boardId} style={{ padding: 0, borderBottom: 0 }}>
                <Upright climb={r.climb} />
              </td>
            ))}
          </tr>
          {rows.map((row) => (
            <tr key={row.group + row.what}>
              <td>{row.what}</td>
              {row.cells.map((c, i) => (
                <td key={i}>{c}</td>
              ))}
            </tr>
          ))}
          <tr>
            <td>Pick</td>
            {chosen.map((r) => (
              <td key={r.climb.boardId}>
                <PickButton ranked={r} firstShare={null} />
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </Box>
  );
}

const pitch = 24;

function RungNames({ climb }: { climb: Climb }) {
  return (
    <Box
      component="ol"
      reversed
      sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column-reverse' }}
    >
      {climb.rungs.map((r) => (
        <Box component="li" key={r.rung} sx={{ height: pitch, lineHeight: `${pitch}px`, fontSize: 12 }}>
          {r.rung} {r.name}
        </Box>
      ))}
    </Box>
  );
}

/** The ladder stood up: rung 1 at the foot, inked as far as the board gets. */
function Upright({ climb }: { climb: Climb }) {
  const height = pitch * climb.rungs.length;
  const reached = climb.stopsAt === null ? 0 : height - (climb.stopsAt - 0.5) * pitch;
  return (
    <svg width={230} height={height} role="img" aria-label={climb.rungs.map((r) => `${r.name} ${r.state}`).join(', ')}>
      {[11, 29].map((x) => (
        <g key={x}>
          <line
            x1={x}
            x2={x}
            y1={height}
            y2={reached + (climb.stopsAt === null ? 0 : 7)}
            stroke="var(--ink)"
            strokeWidth={1.8}
          />
          {climb.stopsAt !== null && (
            <line
              x1={x}
              x2={x}
              y1={reached - 7}
              y2={0}
              stroke="var(--pencil)"
              strokeWidth={0.8}
              strokeDasharray="5 3"
            />
          )}
        </g>
      ))}
      {climb.rungs.map((r, i) => {
        const pencil = climb.stopsAt !== null && r.rung > climb.stopsAt;
        return (
          <g key={r.rung}>
            <g transform={`translate(20 ${height - (i + 0.5) * pitch}) rotate(90)`}>
              <RungMark state={r.state} reach={(r.margin ?? 0) / 0.5} pencil={pencil} />
            </g>
            <text
              x={46}
              y={height - (i + 0.5) * pitch + 4}
              fontSize={11}
              fill={pencil ? 'var(--faded)' : stateColour[r.state]}
            >
              {r.state}
              {r.margin !== null && !pencil
                ? `, ${Math.round(Math.abs(r.margin) * 100)} % ${r.margin < 0 ? 'short' : 'to spare'}`
                : ''}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function asText(rows: { what: string; cells: string[] }[], climbs: Climb[]): string {
  return [['', ...climbs.map((c) => `${c.boardName} (${c.verdict})`)], ...rows.map((r) => [r.what, ...r.cells])]
    .map((r) => r.join('\t'))
    .join('\n');
}
