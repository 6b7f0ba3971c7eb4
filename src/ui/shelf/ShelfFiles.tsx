import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useRef, useState } from 'react';
import { boardsToCsv, readBoardsCsv, readFile, tableSchema, type Board, type RowFault } from '@/core';
import { useRoom } from '../room/BuildRoom';
import { saveAs } from './save-as';

interface Preview {
  name: string;
  fresh: Board[];
  /** Same maker, name and revision as a board that is there: it takes that board's place. */
  replaced: { board: Board; id: string }[];
  faults: RowFault[];
}

const batch = 250;
const mostBytes = 50 * 1024 * 1024;

/** The shelf as files, out and in. What comes in is shown first, row by row; the buyer says how much of it is taken. */
export function ShelfFiles() {
  const { shelf, reloadShelf } = useRoom();
  const input = useRef<HTMLInputElement>(null);
  const stopped = useRef(false);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [progress, setProgress] = useState<{ done: number; total: number } | null>(null);
  const boards = shelf?.boards ?? [];

  const look = async (file: File) => {
    setSaid(null);
    if (file.size > mostBytes) return setSaid(`${file.name} is larger than 50 MB. Nothing was changed.`);
    const text = await file.text();
    if (/^\s*[{[]/.test(text)) {
      const read = readFile(text);
      if (!read.ok) return setPreview({ name: file.name, fresh: [], replaced: [], faults: read.faults.map((f) => ({ row: 0, column: f.field, found: f.sentence, expected: 'a sound file' })) });
      const list = read.value.format === 'rung-shelf' ? read.value.boards : read.value.format === 'rung-board' ? [read.value] : [];
      return setPreview({ name: file.name, ...matched(list, boards), faults: [] });
    }
    const read = readBoardsCsv(text);
    setPreview({ name: file.name, ...matched(read.boards.map((b) => b.board), boards), faults: read.faults });
  };
  const bring = async (list: Board[]) => {
    stopped.current = false;
    for (let i = 0; i < list.length && !stopped.current; i += batch) {
      setProgress({ done: i, total: list.length });
      const body = JSON.stringify({ format: 'rung-shelf', version: 1, name: 'import', boards: list.slice(i, i + batch) });
      const reply = await fetch('/api/import', { method: 'POST', body }).catch(() => null);
      if (!reply?.ok) {
        const why = reply ? ((await reply.json().catch(() => ({}))) as { sentence?: string }).sentence : 'The server does not answer.';
        setSaid(`${i} of ${list.length} boards came in, then: ${why} The rest can be brought in again.`);
        setProgress(null);
        reloadShelf();
        return;
      }
      setProgress({ done: Math.min(list.length, i + batch), total: list.length });
    }
    setSaid(stopped.current ? 'Stopped. What had come in stays; nothing is half written.' : `${list.length} boards came in.`);
    setProgress(null);
    setPreview(null);
    reloadShelf();
  };

  return (
    <>
      <Button onClick={() => saveAs('rung-shelf.csv', 'text/csv', boardsToCsv(boards))}>CSV</Button>
      <Button onClick={() => saveAs('rung-shelf.json', 'application/json', JSON.stringify({ format: 'rung-shelf', version: 1, name: 'Shelf', boards, peripherals: shelf?.peripherals ?? [] }, null, 1))}>JSON</Button>
      <Button onClick={() => saveAs('rung-shelf.schema.json', 'application/json', JSON.stringify(tableSchema(), null, 1))}>Table Schema</Button>
      <Button variant="outlined" onClick={() => input.current?.click()}>
        Bring in
      </Button>
      <input ref={input} type="file" accept=".csv,.json,text/csv,application/json" hidden aria-label="Boards as CSV or JSON" onChange={(e) => (e.target.files?.[0] && void look(e.target.files[0]), (e.target.value = ''))} />
      {said && (
        <Box role="status" sx={{ fontSize: 12, maxWidth: 300 }}>
          {said}
        </Box>
      )}
      <Dialog open={preview !== null} onClose={() => !progress && setPreview(null)} maxWidth="md" fullWidth aria-label="What the file holds">
        {preview && (
          <Box sx={{ p: 2 }}>
            <Box component="h2" sx={{ m: 0, fontSize: 15 }}>
              {preview.name}: {preview.fresh.length} new boards, {preview.replaced.length} that take the place of one on the shelf, {new Set(preview.faults.map((f) => f.row)).size} rows with problems
            </Box>
            {preview.faults.length > 0 && (
              <Box sx={{ maxHeight: 260, overflow: 'auto', mt: 1 }}>
                <table>
                  <thead>
                    <tr>
                      <th>Row</th>
                      <th>Column</th>
                      <th>Found</th>
                      <th>Expected</th>
                    </tr>
                  </thead>
                  <tbody>
                    {preview.faults.slice(0, 200).map((f, i) => (
                      <tr key={i}>
                        <td>{f.row || 'file'}</td>
                        <td>{f.column}</td>
                        <td>{f.found}</td>
                        <td>{f.expected}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </Box>
            )}
            {progress ? (
              <Box sx={{ mt: 2, display: 'flex', gap: 2, alignItems: 'center' }} role="status">
                <progress value={progress.done} max={progress.total} /> {progress.done} of {progress.total}
                <Button variant="outlined" onClick={() => (stopped.current = true)}>
                  Stop
                </Button>
              </Box>
            ) : (
              <Box sx={{ mt: 2, display: 'flex', gap: 1 }}>
                <Button variant="contained" disabled={preview.fresh.length + preview.replaced.length === 0} onClick={() => void bring([...preview.fresh, ...preview.replaced.map((r) => ({ ...r.board, id: r.id }))])}>
                  Bring in {preview.fresh.length + preview.replaced.length} sound boards
                </Button>
                {preview.replaced.length > 0 && (
                  <Button variant="outlined" onClick={() => void bring(preview.fresh)}>
                    Only the {preview.fresh.length} new ones
                  </Button>
                )}
                <Button onClick={() => setPreview(null)}>Leave it</Button>
              </Box>
            )}
          </Box>
        )}
      </Dialog>
    </>
  );
}

function matched(list: Board[], there: Board[]): Pick<Preview, 'fresh' | 'replaced'> {
  const key = (b: Board) => `${b.maker} ${b.name} ${b.revision}`.toLowerCase();
  const known = new Map(there.map((b) => [key(b), b.id]));
  return {
    fresh: list.filter((b) => !known.has(key(b))),
    replaced: list.flatMap((board) => (known.has(key(board)) ? [{ board, id: known.get(key(board))! }] : [])),
  };
}
