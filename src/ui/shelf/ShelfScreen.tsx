'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import { useVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs';
import { useMemo, useRef, useState } from 'react';
import {
  boardKinds,
  completenessOf,
  doubtsAbout,
  idFrom,
  newBoard,
  type Board,
  type Completeness,
  leastOffer,
  money,
} from '@/core';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';
import { handOver } from '../intake/handed-over';
import { pageFiles } from '../intake/page-files';
import { Bin } from '../frame/Bin';
import { PickFiles } from '../frame/PickFiles';
import { AtHome } from './AtHome';
import { MakeSet } from './MakeSet';
import { RemoveBoard } from './RemoveBoard';
import { ShelfFiles } from './ShelfFiles';

const orders = ['name', 'completeness', 'price', 'doubts'] as const;
const rowHeight = 34;

interface Line {
  board: Board;
  complete: Completeness;
  doubts: number;
  cents: number | null;
  currency: string;
}

/** All boards with how much is known of each and whose word it is. */
export function ShelfScreen() {
  const { build } = useRoom('build');
  const { shelf, shelfFault, reloadShelf, aside } = useShelf();
  const [view, setView] = useQueryStates(
    { q: parseAsString.withDefault(''), sort: parseAsStringLiteral(orders).withDefault('name') },
    { history: 'replace' },
  );
  const lines = useMemo(
    () =>
      (shelf?.boards ?? []).map((board): Line => ({
        board,
        complete: completenessOf(board),
        doubts: doubtsAbout(board).length,
        ...leastOffer(board),
      })),
    [shelf],
  );
  const shown = useMemo(() => arrange(lines, view.q, view.sort), [lines, view.q, view.sort]);
  const [fault, setFault] = useState<string | null>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 12,
  });

  if (shelfFault) {
    return (
      <Box role="alert" sx={{ p: 3 }}>
        {shelfFault} <Button onClick={reloadShelf}>Ask again</Button>
      </Box>
    );
  }
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%' }}>
      <h1 className="sr">Shelf</h1>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 2,
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
        <Select
          value={view.sort}
          onChange={(e) => void setView({ sort: e.target.value })}
          inputProps={{ 'aria-label': 'Order' }}
          sx={{ width: 140 }}
        >
          {orders.map((o) => (
            <MenuItem key={o} value={o}>
              by {o}
            </MenuItem>
          ))}
        </Select>
        <span>
          {shown.length} of {lines.length} boards
        </span>
        <Box sx={{ flex: 1 }} />
        <ShelfFiles />
        <AddBoard />
      </Box>
      <MakeSet />
      {fault && (
        <Box role="alert" sx={{ px: 2, py: 0.5 }}>
          {fault}
        </Box>
      )}
      <Box
        sx={{
          display: 'flex',
          px: 2,
          py: 0.5,
          fontSize: 11.5,
          color: 'text.secondary',
          borderBottom: '1px solid var(--ink)',
        }}
      >
        <Box sx={{ width: 210 }}>Board</Box>
        <Box sx={{ width: 150 }}>Kind</Box>
        <Box sx={{ width: 60 }}>Family</Box>
        <Box sx={{ width: 60, textAlign: 'right', pr: 2 }}>Ports</Box>
        <Box sx={{ width: 190 }}>Figures known</Box>
        <Box sx={{ flex: 1 }}>Whose word</Box>
        <Box sx={{ width: 120 }}>Figures</Box>
        <Box sx={{ width: 80, textAlign: 'right' }}>from</Box>
        <Box sx={{ width: 76, pl: 1 }}>At home</Box>
        <Box sx={{ width: 96 }} />
      </Box>
      <Box ref={scroller} sx={{ flex: 1, minHeight: 0, overflow: 'auto' }}>
        {lines.length === 0 && shelf && (
          <Box sx={{ p: 3, color: 'text.secondary' }}>
            The shelf is empty. Add a board by its name and paste its shop page, or open a file.
          </Box>
        )}
        <Box sx={{ position: 'relative', height: rows.getTotalSize() }} role="list" aria-label="Boards on the shelf">
          {rows.getVirtualItems().map((v) => (
            <Row
              key={v.key}
              line={shown[v.index]!}
              top={v.start}
              href={`/b/${build.id}/shelf/${shown[v.index]!.board.id}`}
              onRemoved={setFault}
            />
          ))}
        </Box>
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

function Row({
  line: { board, complete, doubts, cents, currency },
  top,
  href,
  onRemoved,
}: {
  line: Line;
  top: number;
  href: string;
  onRemoved: (fault: string | null) => void;
}) {
  return (
    <Box
      role="listitem"
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
      }}
    >
      <Box sx={{ width: 210, overflow: 'hidden', whiteSpace: 'nowrap', textOverflow: 'ellipsis' }}>
        <Link href={href}>{board.name}</Link>{' '}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {board.maker}
        </Box>
      </Box>
      <Box sx={{ width: 150 }}>
        {board.kind}
        {board.revision !== '1' ? `, rev ${board.revision}` : ''}
      </Box>
      <Box sx={{ width: 60 }}>{'value' in board.processor ? board.processor.value : '?'}</Box>
      <Box sx={{ width: 60, textAlign: 'right', pr: 2 }}>{board.ports.length}</Box>
      <Box sx={{ width: 190, display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box sx={{ width: 80, height: 7, border: '1px solid var(--ink)' }} aria-hidden>
          <Box
            sx={{
              width: `${(100 * complete.known) / Math.max(1, complete.total)}%`,
              height: '100%',
              background: 'var(--ink)',
            }}
          />
        </Box>
        {complete.known} of {complete.total}
      </Box>
      <Box
        sx={{ flex: 1, color: 'text.secondary', overflow: 'hidden', whiteSpace: 'nowrap', textOverflow: 'ellipsis' }}
      >
        {Object.entries(complete.origins)
          .sort((a, b) => b[1] - a[1])
          .map(([o, n]) => `${n} ${o}`)
          .join(', ')}
      </Box>
      <Box sx={{ width: 120, color: doubts > 0 ? 'error.main' : 'text.secondary' }}>
        {doubts > 0 ? `${doubts} in doubt` : ''}
      </Box>
      <Box sx={{ width: 80, textAlign: 'right' }}>{cents === null ? 'no offer' : money(cents, currency)}</Box>
      <AtHome board={board} />
      <Box sx={{ width: 96, textAlign: 'right' }}>
        <RemoveBoard id={board.id} name={board.name} onDone={onRemoved} />
      </Box>
    </Box>
  );
}

function AddBoard() {
  const { build } = useRoom('build');
  const { shelf, putBoard } = useShelf();
  const router = useRouter();
  const [name, setName] = useState('');
  const [maker, setMaker] = useState('');
  const [kind, setKind] = useState<Board['kind']>('flight controller');
  const [fault, setFault] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  /** `files`: pages that the editor is to read at once. A name that is not typed is that of the file, until the page says another. */
  const add = async (files: File[] = []) => {
    const called =
      name.trim() ||
      (files[0]?.name ?? '')
        .replace(/\.[a-z0-9]{2,5}$/i, '')
        .slice(0, 80)
        .trim();
    const by = maker.trim() || 'maker not said';
    if (!called) return;
    const base = idFrom(`${by} ${called}`, 'board');
    const taken = new Set(shelf?.boards.map((b) => b.id));
    let id = base;
    for (let n = 2; taken.has(id); n++) id = `${base}-${n}`;
    const said = await putBoard(newBoard(id, called, by, kind));
    setFault(said);
    if (said) return;
    if (files.length > 0) handOver(id, files);
    router.push(`/b/${build.id}/shelf/${id}`);
  };
  return (
    <Box
      component="form"
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        outline: over ? '2px dashed var(--copper)' : 'none',
        outlineOffset: 4,
      }}
      onSubmit={(e) => (e.preventDefault(), void add())}
      onDragOver={(e) => (e.preventDefault(), setOver(true))}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => (e.preventDefault(), setOver(false), void add([...e.dataTransfer.files]))}
      onPaste={(e) => e.clipboardData.files.length > 0 && (e.preventDefault(), void add([...e.clipboardData.files]))}
    >
      <TextField
        placeholder="New board"
        value={name}
        onChange={(e) => setName(e.target.value)}
        slotProps={{ htmlInput: { 'aria-label': 'Name of a new board', maxLength: 80 } }}
        sx={{ width: 110 }}
      />
      <TextField
        placeholder="its maker"
        value={maker}
        onChange={(e) => setMaker(e.target.value)}
        slotProps={{ htmlInput: { 'aria-label': 'Maker of a new board', maxLength: 80 } }}
        sx={{ width: 90 }}
      />
      <Select
        value={kind}
        onChange={(e) => setKind(e.target.value)}
        inputProps={{ 'aria-label': 'Kind of a new board' }}
        sx={{ width: 130 }}
      >
        {boardKinds.map((k) => (
          <MenuItem key={k} value={k}>
            {k}
          </MenuItem>
        ))}
      </Select>
      <Button type="submit" variant="contained" disabled={!name.trim() || !maker.trim()}>
        Add
      </Button>
      <PickFiles
        words="From its page"
        label="Page of a new board"
        accept={pageFiles}
        title="A PDF, a saved page, a photo, a screenshot or a table; it can be dropped here as well"
        onPick={(files) => void add(files)}
      />
      {fault && <Box role="alert">{fault}</Box>}
    </Box>
  );
}

function arrange(lines: Line[], q: string, sort: (typeof orders)[number]): Line[] {
  const word = q.trim().toLowerCase();
  const shown = word
    ? lines.filter(({ board: b }) =>
        `${b.name} ${b.maker} ${b.kind} ${'value' in b.processor ? b.processor.value : ''}`
          .toLowerCase()
          .includes(word),
      )
    : [...lines];
  const share = (l: Line) => l.complete.known / Math.max(1, l.complete.total);
  const by = {
    name: (a: Line, b: Line) => a.board.maker.localeCompare(b.board.maker) || a.board.name.localeCompare(b.board.name),
    completeness: (a: Line, b: Line) => share(a) - share(b),
    price: (a: Line, b: Line) => (a.cents ?? Infinity) - (b.cents ?? Infinity),
    doubts: (a: Line, b: Line) => b.doubts - a.doubts,
  }[sort];
  return shown.sort(by);
}
