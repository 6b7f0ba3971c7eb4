import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import { RemoveBoard } from './RemoveBoard';
import { BoardName, nameColumn, type Column, type Line } from './columns';
import { ForWriters } from '../room/ForWriters';

export const rowHeight = 34;

/** Room of a column; what has no width of its own takes what is left. */
export const roomOf = ({ width, number }: Column) => ({
  ...(width === 0 ? { flex: 1, minWidth: 60 } : { width, flexShrink: 0 }),
  ...(number ? { textAlign: 'right', pr: 1.5 } : {}),
  overflow: 'hidden',
  whiteSpace: 'nowrap',
  textOverflow: 'ellipsis',
});

export function ShelfRow({
  line,
  top,
  at,
  shown,
  href,
  chosen,
  words,
  onChoose,
  onRemoved,
}: {
  line: Line;
  top: number;
  /** Which row it is, from 1: the screen holds only those in sight. */
  at: number;
  shown: readonly Column[];
  href: string;
  chosen: boolean;
  words: (text: string) => string;
  onChoose: () => void;
  onRemoved: (fault: string | null) => void;
}) {
  const { board } = line;
  return (
    <Box
      role="row"
      aria-rowindex={at + 1}
      aria-selected={chosen}
      sx={{
        position: 'absolute',
        top,
        left: 0,
        right: 0,
        height: rowHeight,
        display: 'flex',
        alignItems: 'center',
        px: 2,
        borderBottom: '1px solid var(--hair)',
        fontSize: 12.5,
        background: chosen ? 'var(--copperSoft)' : 'transparent',
      }}
    >
      <Box role="gridcell" sx={{ width: 30, flexShrink: 0 }}>
        <Checkbox
          checked={chosen}
          onChange={onChoose}
          slotProps={{ input: { 'aria-label': `Choose ${board.name}` } }}
          sx={{ p: 0.25, ml: -0.5 }}
        />
      </Box>
      <Box role="rowheader" sx={roomOf(nameColumn)}>
        <BoardName board={board} href={href} />
      </Box>
      {shown.map((c) => (
        <Box role="gridcell" key={c.id} sx={roomOf(c)}>
          {c.cell(line, words)}
        </Box>
      ))}
      <Box role="gridcell" sx={{ width: 84, flexShrink: 0, ml: 'auto', textAlign: 'right' }}>
        <ForWriters>
          <RemoveBoard id={board.id} name={board.name} onDone={onRemoved} />
        </ForWriters>
      </Box>
    </Box>
  );
}
