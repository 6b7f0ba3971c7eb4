'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import {
  bestWith,
  completenessOf,
  differencesOf,
  doubtsAbout,
  evaluate,
  firstSentence,
  isCandidate,
  readData,
  sentenceOf,
  type Board,
  type Build,
  type Climb,
} from '@/core';
import { LadderStrip } from '../marks/LadderStrip';
import { verdictColour } from '../marks/words';
import { NoBoard } from '../frame/NoBoard';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { ChangedByWriters, ForWriters } from '../room/ForWriters';
import { useShelf } from '../room/use-shelf';
import { useHistory } from '../room/use-history';
import { useUndoKeys } from '../room/use-undo-keys';
import { RemoveBoard } from './RemoveBoard';
import { BoardBridges } from './BoardBridges';
import { BoardFigures } from './BoardFigures';
import { BoardHarness } from './BoardHarness';
import { BoardHoles } from './BoardHoles';
import { BoardKind } from './BoardKind';
import { BoardPlugs } from './BoardPlugs';
import { BoardPorts } from './BoardPorts';
import { BoardRails } from './BoardRails';
import { Offers } from './Offers';
import { PadPlan } from './PadPlan';
import { Photos } from './Photos';
import { SheetReader } from '../intake/SheetReader';

const draftKey = (id: string) => `rung:board:${id}`;

/** One board as it is filled in: figures, pads to scale, the sheet it is read from, and how it climbs for the build at hand. */
export function EditorScreen({ boardId }: { boardId: string }) {
  const { shelf } = useShelf();
  const stored = shelf?.boards.find((b) => b.id === boardId);
  if (!stored)
    return shelf ? (
      <NoBoard />
    ) : (
      <Box role="status" sx={{ p: 3, color: 'text.secondary' }}>
        The shelf is on its way ...
      </Box>
    );
  return <Editor stored={stored} />;
}

function Editor({ stored }: { stored: Board }) {
  const { build, rights } = useRoom('build', 'rights');
  const words = useWords();
  const { shelf, putBoard, versionOf } = useShelf();
  const router = useRouter();
  // A draft builds on the version that was seen when it was begun, whoever has saved since.
  const [kept] = useState(() => draftOf(stored, versionOf(stored.id)));
  const seen = useRef(kept.base);
  const history = useHistory(() => kept.board);
  const { now: board, edit, undo, redo } = history;
  const [said, setSaid] = useState<string | null>(null);
  const setBoard = (next: Board) =>
    rights.mayWrite
      ? edit(partChanged(board, next), () => next)
      : setSaid('You may look at this board, not change it. Nothing was changed.');
  useUndoKeys(history);
  const changed = board !== stored && JSON.stringify(board) !== JSON.stringify(stored);
  const boards = shelf?.boards;
  const climb = useMemo(() => climbOf(build, board, boards ?? []), [build, board, boards]);
  const before = useMemo(() => climbOf(build, stored, boards ?? []), [build, stored, boards]);
  const complete = completenessOf(board);
  const doubts = doubtsAbout(board);
  useEffect(() => {
    try {
      if (changed) localStorage.setItem(draftKey(board.id), JSON.stringify({ board, base: seen.current }));
      else localStorage.removeItem(draftKey(board.id));
    } catch {
      // A full or forbidden store: the change stays on the page.
    }
  }, [board, changed]);
  const save = async () => {
    const fault = await putBoard(board, seen.current);
    // Told once that somebody else was first, the next save is meant.
    seen.current = versionOf(board.id);
    setSaid(fault ?? 'Saved; the whole shelf climbs again.');
  };
  const revise = async () => {
    const revision = String((Number(board.revision) || 1) + 1);
    let id = `${stored.id.replace(/-r\d+$/, '')}-r${revision}`;
    while (shelf?.boards.some((b) => b.id === id)) id += 'x';
    const fault = await putBoard({ ...board, id, revision });
    if (fault) setSaid(fault);
    else router.push(`/b/${build.id}/shelf/${id}`);
  };
  const older =
    shelf?.boards.filter((b) => b.id !== board.id && b.maker === board.maker && b.name === board.name) ?? [];
  const stop = climb?.rungs.find((r) => r.rung === climb.stopsAt) ?? climb?.rungs.find((r) => r.state === 'unknown');
  return (
    <Box sx={{ display: 'flex', height: '100%' }}>
      <Box sx={{ flex: 1, minWidth: 0, overflow: 'auto', px: 2, py: 1 }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
          <Typography variant="h1">{board.name}</Typography>
          <span>
            {board.maker}, revision {board.revision}; {complete.known} of {complete.total} figures known
          </span>
          <Box sx={{ flex: 1 }} />
          <Link href={`/b/${build.id}/shelf`}>Shelf</Link>
          <ForWriters>
            <Button variant="contained" disabled={!changed} onClick={() => void save()}>
              Save
            </Button>
            <Button disabled={!history.canUndo} onClick={undo}>
              Undo
            </Button>
            <Button disabled={!history.canRedo} onClick={redo}>
              Redo
            </Button>
            <Button disabled={!changed} onClick={() => setBoard(stored)}>
              Put back
            </Button>
            <Button onClick={() => void revise()}>New revision</Button>
            <RemoveBoard
              id={board.id}
              name={board.name}
              onDone={(f) => (f ? setSaid(f) : router.push(`/b/${build.id}/shelf`))}
            />
          </ForWriters>
        </Box>
        {said && (
          <Box role="status" sx={{ fontSize: 12.5 }}>
            {said}
          </Box>
        )}
        <Box
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1.5,
            borderTop: '1px solid var(--hair)',
            borderBottom: '1px solid var(--hair)',
            my: 0.75,
            py: 0.5,
          }}
          aria-label="How it climbs for this build"
        >
          {climb && <LadderStrip climb={climb} />}
          <Box sx={{ fontSize: 12.5 }} role="status">
            {climb ? (
              <>
                {climb.members && `In the set ${climb.boardName}: `}
                <Box component="strong" sx={{ color: verdictColour[climb.verdict] }}>
                  {climb.verdict}
                </Box>{' '}
                for {build.name}
                {before && before.verdict !== climb.verdict ? ` (${before.verdict} as saved)` : ''}
                {stop ? words(`: ${firstSentence(stop)}`) : '.'}
              </>
            ) : (
              `It takes part in sets only, and the shelf has nothing yet to put it with.`
            )}
          </Box>
        </Box>
        {doubts.length > 0 && (
          <Box component="ul" sx={{ m: 0, pl: 2.5, color: 'error.main', fontSize: 12.5 }} aria-label="Figures in doubt">
            {doubts.map((d) => (
              <li key={d.field + d.says.code}>{words(sentenceOf({ says: d.says, state: 'unknown' }))}</li>
            ))}
          </Box>
        )}
        <ChangedByWriters>
          <BoardKind board={board} onChange={setBoard} />
          <BoardHoles board={board} onChange={setBoard} />
          <PadPlan board={board} onChange={setBoard} />
          {isCandidate(board) && <BoardPorts board={board} onChange={setBoard} />}
          <BoardRails board={board} onChange={setBoard} />
          <BoardBridges board={board} onChange={setBoard} />
          <BoardHarness board={board} onChange={setBoard} />
          <BoardPlugs board={board} onChange={setBoard} />
          <BoardFigures board={board} onChange={setBoard} />
        </ChangedByWriters>
        {complete.missing.length > 0 && (
          <section aria-label="Still to find out">
            <Typography variant="h2" sx={{ mt: 1.5 }}>
              Still to find out
            </Typography>
            <Box component="ul" sx={{ m: 0, pl: 2.5, fontSize: 12.5 }}>
              {complete.missing.map((m) => (
                <li key={m.field}>{m.ask}</li>
              ))}
            </Box>
          </section>
        )}
        {older.map((o) => (
          <section key={o.id} aria-label={`Against revision ${o.revision}`}>
            <Typography variant="h2" sx={{ mt: 1.5 }}>
              Against revision {o.revision}
            </Typography>
            <table>
              <tbody>
                {differencesOf(o, board).map((d) => (
                  <tr key={d.field}>
                    <td>{d.says}</td>
                    <td>{d.before}</td>
                    <td>{d.after}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
        {board.history.length > 0 && (
          <details>
            <summary>History: {board.history.length} changes</summary>
            <table>
              <tbody>
                {[...board.history].reverse().map((h, i) => (
                  <tr key={i}>
                    <td>{h.when}</td>
                    <td>{h.field}</td>
                    <td>
                      {h.before} became {h.after}
                    </td>
                    <td>{h.who}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </details>
        )}
      </Box>
      <Box
        component="aside"
        aria-label="Spec sheet, offers and pictures"
        sx={{
          width: 380,
          flexShrink: 0,
          overflow: 'auto',
          borderLeft: '1px solid var(--hair)',
          px: 2,
          py: 1,
          background: 'var(--sheet)',
          display: 'flex',
          flexDirection: 'column',
          gap: 2,
        }}
      >
        <ForWriters>
          <SheetReader board={board} onChange={setBoard} />
        </ForWriters>
        <Offers board={board} changed={changed} onFresh={setBoard} onChange={setBoard} />
        <Photos about={`board:${board.id}`} />
      </Box>
    </Box>
  );
}

/** What was typed and not saved, with the version it builds on; else the board as the server has it. */
function draftOf(stored: Board, version: number): { board: Board; base: number } {
  try {
    const kept = JSON.parse(localStorage.getItem(draftKey(stored.id)) ?? 'null') as {
      board?: unknown;
      base?: unknown;
    } | null;
    const read = kept && readData(kept.board, 'rung-board');
    if (read?.ok && typeof kept?.base === 'number') return { board: read.value, base: kept.base };
  } catch {
    // What cannot be read is no draft.
  }
  return { board: stored, base: version };
}

/** What of a board has been changed, so that typing one thing is undone as one. */
function partChanged(before: Board, after: Board): string {
  const keys = Object.keys({ ...before, ...after }) as (keyof Board)[];
  return keys.filter((key) => before[key] !== after[key]).join(' ');
}

/** An ESC or a power board carries nothing alone: it is shown in a set. */
function climbOf(build: Build, board: Board, shelf: readonly Board[]): Climb | null {
  return isCandidate(board) ? evaluate(build, board) : bestWith(build, board, shelf);
}
