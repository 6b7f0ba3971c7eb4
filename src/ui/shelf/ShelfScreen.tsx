'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import { useVirtualizer } from '@tanstack/react-virtual';
import { parseAsArrayOf, parseAsBoolean, parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { completenessOf, doubtsAbout, leastOffer } from '@/core';
import { Bin } from '../frame/Bin';
import { SavedViews } from '../frame/SavedViews';
import { usePrinting } from '../frame/print';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useShelf } from '../room/use-shelf';
import { AddBoard } from './AddBoard';
import { ColumnChoice } from './ColumnChoice';
import { columns, nameColumn, usualColumns, type Column, type Line } from './columns';
import { MakeSet } from './MakeSet';
import { ManyAtOnce } from './ManyAtOnce';
import { RemoveBoard } from './RemoveBoard';
import { ShelfFiles } from './ShelfFiles';
import { roomOf, rowHeight, ShelfRow } from './ShelfRow';

const orders = ['name', ...columns.filter((c) => c.by).map((c) => c.id)];
const address = {
  q: parseAsString.withDefault(''),
  sort: parseAsStringLiteral(orders).withDefault('name'),
  down: parseAsBoolean.withDefault(false),
  cols: parseAsArrayOf(parseAsStringLiteral(columns.map((c) => c.id))).withDefault(usualColumns),
};

/** All boards with how much is known of each and whose word it is. */
export function ShelfScreen() {
  const { build, ranking } = useRoom('build', 'ranking');
  const ranked = useDeferredValue(ranking.ranked);
  const { shelf, shelfFault, reloadShelf, aside } = useShelf();
  const words = useWords();
  const [view, setView] = useQueryStates(address, { history: 'replace' });
  const bare = useMemo(
    () =>
      (shelf?.boards ?? []).map((board): Omit<Line, 'ranked'> => ({
        board,
        complete: completenessOf(board),
        doubts: doubtsAbout(board).length,
        ...leastOffer(board),
      })),
    [shelf],
  );
  const lines = useMemo(() => {
    const by = new Map(ranked?.map((r) => [r.climb.boardId, r]));
    return bare.map((l): Line => ({ ...l, ranked: by.get(l.board.id) ?? null }));
  }, [bare, ranked]);
  const rows = useMemo(() => arrange(lines, view), [lines, view]);
  const [fault, setFault] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const shown = columns.filter((c) => view.cols.includes(c.id));
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 12,
  });
  const printing = usePrinting();
  const all = rows.map((_, index) => ({ index, start: index * rowHeight }));
  const picked = rows.filter((l) => chosen.has(l.board.id)).map((l) => l.board);
  const choose = (id: string) =>
    setChosen((c) => {
      const next = new Set(c);
      if (!next.delete(id)) next.add(id);
      return next;
    });

  if (shelfFault) {
    return (
      <Box role="alert" sx={{ p: 3 }}>
        {shelfFault} <Button onClick={reloadShelf}>Ask again</Button>
      </Box>
    );
  }
  return (
    <Box className="paper" sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 420 }}>
      <h1 className="sr">Shelf</h1>
      <Box
        className="no-print"
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 1.5,
          px: 2,
          py: 0.75,
          borderBottom: '1px solid var(--hair)',
          flexWrap: 'wrap',
        }}
      >
        <TextField
          placeholder="Filter by name, maker or processor"
          value={view.q}
          onChange={(e) => void setView({ q: e.target.value || null })}
          slotProps={{ htmlInput: { 'aria-label': 'Filter boards' } }}
          sx={{ width: 230 }}
        />
        <span role="status">
          {rows.length} of {lines.length} boards
        </span>
        <ColumnChoice shown={view.cols} onChange={(cols) => void setView({ cols })} />
        <SavedViews screen="shelf" />
        <Box sx={{ flex: 1 }} />
        <ShelfFiles />
        <ForWriters>
          <AddBoard />
        </ForWriters>
      </Box>
      <ForWriters>
        <MakeSet />
      </ForWriters>
      <ManyAtOnce boards={picked} onDone={() => setChosen(new Set())} onFault={setFault} />
      {fault && (
        <Box role="alert" sx={{ px: 2, py: 0.5 }}>
          {fault}
        </Box>
      )}
      <Box ref={scroller} className="paper" sx={{ flex: 1, minHeight: 0, overflow: 'auto' }}>
        <Box role="grid" aria-label="Boards on the shelf" aria-rowcount={rows.length + 1} sx={{ minWidth: 900 }}>
          <Box
            role="row"
            aria-rowindex={1}
            sx={{
              display: 'flex',
              alignItems: 'center',
              px: 2,
              fontSize: 11.5,
              color: 'text.secondary',
              borderBottom: '1px solid var(--ink)',
              position: 'sticky',
              top: 0,
              zIndex: 1,
              background: 'var(--paper)',
            }}
          >
            <Box role="columnheader" sx={{ width: 30, flexShrink: 0 }}>
              <Checkbox
                checked={rows.length > 0 && picked.length === rows.length}
                indeterminate={picked.length > 0 && picked.length < rows.length}
                onChange={(e) => setChosen(new Set(e.target.checked ? rows.map((l) => l.board.id) : []))}
                slotProps={{ input: { 'aria-label': 'Choose all that are shown' } }}
                sx={{ p: 0.25, ml: -0.5 }}
              />
            </Box>
            {[nameColumn, ...shown].map((c) => (
              <Heading
                key={c.id}
                column={c}
                sorted={view.sort === c.id ? view.down : null}
                onSort={() => void setView({ sort: c.id, down: view.sort === c.id ? !view.down : null })}
              />
            ))}
            <Box role="columnheader" sx={{ width: 84, flexShrink: 0, ml: 'auto' }}>
              <span className="sr">Remove</span>
            </Box>
          </Box>
          <Box
            sx={{ position: 'relative', height: printing ? rows.length * rowHeight : virtual.getTotalSize() }}
            role="rowgroup"
          >
            {(printing ? all : virtual.getVirtualItems()).map((v) => {
              const line = rows[v.index]!;
              return (
                <ShelfRow
                  key={line.board.id}
                  line={line}
                  top={v.start}
                  at={v.index + 1}
                  shown={shown}
                  href={`/b/${build.id}/shelf/${line.board.id}`}
                  chosen={chosen.has(line.board.id)}
                  words={words}
                  onChoose={() => choose(line.board.id)}
                  onRemoved={setFault}
                />
              );
            })}
          </Box>
        </Box>
        {lines.length === 0 && shelf && (
          <Box sx={{ p: 3, color: 'text.secondary' }}>
            The shelf is empty. Add a board by its name and paste its shop page, or open a file.
          </Box>
        )}
        {lines.length > 0 && rows.length === 0 && (
          <Box sx={{ p: 3, color: 'text.secondary' }}>
            No board is called so. <Button onClick={() => void setView({ q: null })}>Show all</Button>
          </Box>
        )}
        <Box sx={{ px: 2, pb: 2 }}>
          {aside.map((a) => (
            <Box key={a.id} role="note" sx={{ fontSize: 12.5, my: 0.5 }}>
              <strong>{a.id}</strong> is not shown. {a.why} <RemoveBoard id={a.id} name={a.id} onDone={reloadShelf} />
            </Box>
          ))}
          <Bin kind="board" onBack={reloadShelf} />
        </Box>
      </Box>
    </Box>
  );
}

/** A heading that orders the rows; pressed again, the other way round. */
function Heading({ column, sorted, onSort }: { column: Column; sorted: boolean | null; onSort: () => void }) {
  let way: 'none' | 'ascending' | 'descending' = 'none';
  if (sorted !== null) way = sorted ? 'descending' : 'ascending';
  return (
    <Box role="columnheader" aria-sort={column.by ? way : undefined} sx={roomOf(column)}>
      {column.by ? (
        <Button
          onClick={onSort}
          sx={{ p: 0, minHeight: 24, fontSize: 11.5, color: sorted === null ? 'text.secondary' : 'primary.main' }}
        >
          {column.heading}
          {sorted !== null && <span aria-hidden>&nbsp;{sorted ? '↓' : '↑'}</span>}
        </Button>
      ) : (
        column.heading
      )}
    </Box>
  );
}

function arrange(lines: Line[], { q, sort, down }: { q: string; sort: string; down: boolean }): Line[] {
  const word = q.trim().toLowerCase();
  const shown = word
    ? lines.filter(({ board: b }) =>
        `${b.name} ${b.maker} ${b.kind} ${'value' in b.processor ? b.processor.value : ''}`
          .toLowerCase()
          .includes(word),
      )
    : [...lines];
  const by = [nameColumn, ...columns].find((c) => c.id === sort)?.by ?? nameColumn.by!;
  const way = down ? -1 : 1;
  return shown.sort((a, b) => {
    const [x, y] = [by(a), by(b)];
    if (x === y) return 0;
    if (typeof x === 'string' && typeof y === 'string') return way * x.localeCompare(y);
    return way * (x < y ? -1 : 1);
  });
}
