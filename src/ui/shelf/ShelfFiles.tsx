import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useRef, useState } from 'react';
import {
  boardsToCsv,
  counted,
  metOnShelf,
  newestVersion,
  peripheralsToCsv,
  publicBoard,
  sealed,
  sealOf,
  tableSchema,
  type Board,
  type Met,
  type RowFault,
  type Seal,
  type ShelfFile,
} from '@/core';
import type { FromReader } from '@/workers/read-shelf.worker';
import { askServer } from '../room/ask-server';
import { useShelf } from '../room/use-shelf';
import { MergePreview } from './MergePreview';
import { csv, json, useTakeOut } from '../frame/take-out';
import { ForWriters } from '../room/ForWriters';

interface Preview {
  name: string;
  fresh: Lists;
  /** Parts of the same maker and name as one that is there: they take that one's place. */
  replaced: Lists;
  /** Boards that the shelf has, or may have. */
  met: Met[];
  seal: Seal;
  faults: RowFault[];
}

type Lists = Pick<ShelfFile, 'boards' | 'peripherals'>;
const sizeOf = (l: Lists) => l.boards.length + l.peripherals.length;

const batch = 250;
const mostMb = 100;

/** The shelf as files, out and in. What comes in is shown first, row by row; the buyer says how much of it is taken. */
export function ShelfFiles() {
  const { shelf, reloadShelf } = useShelf();
  const input = useRef<HTMLInputElement>(null);
  const stopped = useRef(false);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [reading, setReading] = useState<{ name: string; done: number; total: number; stop: () => void } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [progress, setProgress] = useState<{ done: number; total: number } | null>(null);
  const boards = shelf?.boards ?? [];

  const look = async (file: File) => {
    setSaid(null);
    if (file.size > mostMb * 1024 * 1024)
      return setSaid(`${file.name} is larger than ${mostMb} MB. Split it. Nothing was changed.`);
    const { file: reading, stop } = readAside(await file.text(), (done, total) =>
      setReading({ name: file.name, done, total, stop }),
    );
    setReading({ name: file.name, done: 0, total: 1, stop });
    const [read, seal] = await Promise.all([reading, file.text().then(sealOf)]);
    setReading(null);
    if (!read) return setSaid(`${file.name} was not read to its end. Nothing was changed.`);
    setPreview({
      name: file.name,
      ...matched(read, { boards, peripherals: shelf?.peripherals ?? [] }),
      seal,
      faults: read.faults,
    });
  };
  const bring = async (lists: Lists) => {
    stopped.current = false;
    const total = sizeOf(lists);
    const steps: Lists[] = [];
    for (let i = 0; i < lists.boards.length; i += batch)
      steps.push({ boards: lists.boards.slice(i, i + batch), peripherals: [] });
    if (lists.peripherals.length > 0) steps.push({ boards: [], peripherals: lists.peripherals });
    let done = 0;
    for (const step of steps) {
      if (stopped.current) break;
      setProgress({ done, total });
      const body = JSON.stringify({ format: 'rung-shelf', version: newestVersion, name: 'import', ...step });
      const reply = await askServer(
        '/api/import?over=replace',
        { method: 'POST', body },
        'The server does not answer.',
      );
      if (!reply.ok) {
        setSaid(`${done} of ${total} came in, then: ${reply.said.sentence} The rest can be brought in again.`);
        setProgress(null);
        reloadShelf();
        return;
      }
      done += sizeOf(step);
      setProgress({ done, total });
    }
    setSaid(stopped.current ? 'Stopped. What had come in stays; nothing is half written.' : `${total} came in.`);
    setProgress(null);
    setPreview(null);
    reloadShelf();
  };

  const asShelf = (given: Board[]) =>
    sealed({
      format: 'rung-shelf',
      version: newestVersion,
      name: 'Shelf',
      boards: given,
      peripherals: shelf?.peripherals ?? [],
    });
  useTakeOut(() => [
    { says: 'Save the boards as CSV', file: csv('rung-boards'), text: () => boardsToCsv(boards) },
    {
      says: 'Save the parts as CSV',
      file: csv('rung-peripherals'),
      text: () => peripheralsToCsv(shelf?.peripherals ?? []),
    },
    { says: 'Save the shelf as JSON', file: json('rung-shelf'), text: () => asShelf(boards) },
    {
      says: 'Save the shelf to give away: without typed prices, histories and pictures',
      file: json('rung-shelf'),
      text: () => asShelf(boards.map(publicBoard)),
    },
    {
      says: 'Save the Table Schema of the CSV files',
      file: json('rung-shelf.schema'),
      text: () => JSON.stringify({ boards: tableSchema('boards'), peripherals: tableSchema('peripherals') }, null, 1),
    },
  ]);

  return (
    <>
      <ForWriters>
        <Button variant="outlined" onClick={() => input.current?.click()}>
          Bring in
        </Button>
        <input
          ref={input}
          type="file"
          accept=".csv,.json,text/csv,application/json"
          hidden
          aria-label="Boards as CSV or JSON"
          onChange={(e) => (e.target.files?.[0] && void look(e.target.files[0]), (e.target.value = ''))}
        />
      </ForWriters>
      {reading && (
        <Box role="status" sx={{ fontSize: 12 }}>
          {reading.name} is being read:{' '}
          <progress value={reading.done} max={reading.total} aria-label="Rows that have been read" />{' '}
          <Button onClick={reading.stop}>Stop</Button>
        </Box>
      )}
      {said && (
        <Box role="status" sx={{ fontSize: 12, maxWidth: 300 }}>
          {said}
        </Box>
      )}
      <Dialog
        open={preview !== null}
        onClose={() => !progress && setPreview(null)}
        maxWidth="md"
        fullWidth
        aria-label="What the file holds"
      >
        {preview && (
          <Box sx={{ p: 2 }}>
            <Box component="h2" sx={{ m: 0, fontSize: 15 }}>
              {preview.name}: {sizeOf(preview.fresh)} new ({preview.fresh.boards.length} boards,{' '}
              {preview.fresh.peripherals.length} parts), {sizeOf(preview.replaced)} parts that take the place of one on
              the shelf, {counted(preview.met.length, 'board')} that it has or may have, {rowsWords(preview.faults)}{' '}
              with problems
            </Box>
            {preview.seal !== 'open' && (
              <Box role="status" sx={{ fontSize: 12.5, color: preview.seal === 'changed' ? 'error.main' : undefined }}>
                {preview.seal === 'whole'
                  ? 'Its checksum is right: nobody has changed it since it was written.'
                  : 'Its checksum is wrong: it was changed after it was written. Look at what it says before you take it.'}
              </Box>
            )}
            {preview.met.length > 0 && !progress && (
              <MergePreview
                met={preview.met}
                shelf={boards}
                onDecide={(decided) =>
                  void bring(both(both(preview.fresh, preview.replaced), { boards: decided, peripherals: [] }))
                }
              />
            )}
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
                {preview.met.length === 0 && (
                  <Button
                    variant="contained"
                    disabled={sizeOf(preview.fresh) + sizeOf(preview.replaced) === 0}
                    onClick={() => void bring(both(preview.fresh, preview.replaced))}
                  >
                    Bring in all {sizeOf(preview.fresh) + sizeOf(preview.replaced)} sound ones
                  </Button>
                )}
                {sizeOf(preview.replaced) + preview.met.length > 0 && (
                  <Button variant="outlined" onClick={() => void bring(preview.fresh)}>
                    Only the {sizeOf(preview.fresh)} new ones
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

function rowsWords(faults: readonly RowFault[]): string {
  const rows = new Set(faults.map((f) => f.row)).size;
  return rows === 1 ? '1 row' : `${rows} rows`;
}

function both(a: Lists, b: Lists): Lists {
  return { boards: [...a.boards, ...b.boards], peripherals: [...a.peripherals, ...b.peripherals] };
}

function matched(read: Lists, there: Lists): Pick<Preview, 'fresh' | 'replaced' | 'met'> {
  const { fresh, met } = metOnShelf(read.boards, there.boards);
  const peripherals = parted(read.peripherals, there.peripherals, (p) => `${p.maker} ${p.name}`.toLowerCase());
  return {
    fresh: { boards: fresh, peripherals: peripherals.fresh },
    replaced: { boards: [], peripherals: peripherals.replaced },
    met,
  };
}

/** What is new, and what takes the place, and the id, of one that is there. */
function parted<T extends { id: string }>(
  list: readonly T[],
  there: readonly T[],
  key: (t: T) => string,
): { fresh: T[]; replaced: T[] } {
  const known = new Map(there.map((t) => [key(t), t.id]));
  return {
    fresh: list.filter((t) => !known.has(key(t))),
    replaced: list.flatMap((t) => (known.has(key(t)) ? [{ ...t, id: known.get(key(t))! }] : [])),
  };
}

/** Reads a file in a worker; `stop` ends it, and then there is nothing to show. */
function readAside(
  text: string,
  tell: (done: number, total: number) => void,
): { file: Promise<ShelfFile | null>; stop: () => void } {
  const worker = new Worker(new URL('../../workers/read-shelf.worker.ts', import.meta.url), { type: 'module' });
  let end: (file: ShelfFile | null) => void;
  const file = new Promise<ShelfFile | null>((done) => (end = done)).finally(() => worker.terminate());
  worker.onmessage = ({ data }: MessageEvent<FromReader>) =>
    data.kind === 'progress' ? tell(data.done, data.total) : end(data.file);
  worker.onerror = () =>
    end({
      boards: [],
      peripherals: [],
      faults: [{ row: 0, column: 'file', found: 'more than this browser can hold', expected: 'a smaller file' }],
    });
  worker.postMessage(text);
  return { file, stop: () => end(null) };
}
