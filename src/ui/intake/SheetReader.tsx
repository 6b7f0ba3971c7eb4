import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useEffect, useMemo, useRef, useState, type ClipboardEvent, type DragEvent } from 'react';
import {
  doubtedByHabit,
  habitsOf,
  joined,
  listedReadings,
  versionsIn,
  withCorrection,
  withoutHabit,
  withPictureOfPage,
  withReadings,
  type Board,
  type Page,
  type Reading,
} from '@/core';
import type { ReadAnswers } from '@/workers/read-page.worker';
import { PickFiles } from '../frame/PickFiles';
import { askServer } from '../room/ask-server';
import { today } from '../room/today';
import { useShelf } from '../room/use-shelf';
import { useWorkerAnswer } from '../room/use-worker-answer';
import { fieldWords } from './field-words';
import { takeHandedOver } from './handed-over';
import type { OpenedSource } from './open-source';
import { pageFiles } from './page-files';
import { Proposals } from './Proposals';
import { Readings } from './Readings';
import { useSource } from './use-source';

const mostChars = 1_000_000;
/** The page of one board holds fewer than 60 figures. */
const mostReadings = 300;
const origins = ['claim', 'manual', 'print', 'report', 'tested'] as const;

/** A page, a PDF, a picture or a table, dropped, pasted or picked: every figure understood is marked where it stands. Only what is confirmed lands on the board. */
export function SheetReader({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  const { shelf, putBoard } = useShelf();
  const [text, setText] = useState('');
  const [opened, setOpened] = useState<OpenedSource | null>(null);
  const [origin, setOrigin] = useState<(typeof origins)[number]>('claim');
  const [over, setOver] = useState(false);
  const source = useSource((next) => {
    setOpened(next);
    if (next.kind === 'PDF') setOrigin('manual');
    if (next.kind === 'picture') setOrigin('print');
  });
  const { open } = source;
  useEffect(() => {
    const files = takeHandedOver(board.id);
    if (files.length > 0) void open(files);
    // Once, when the editor opens.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const pasted = useDeferredValue(text);
  const pages = useMemo<Page[]>(
    () => opened?.pages ?? [{ number: 1, text: pasted.slice(0, mostChars), spots: [] }],
    [opened, pasted],
  );
  const whole = useMemo(() => joined(pages), [pages]);
  const blank = whole.text.trim() === '';
  const read = useWorkerAnswer<ReadAnswers['readings']>(blank ? null : whole.text, () => ({
    worker: new Worker(new URL('../../workers/read-page.worker.ts', import.meta.url)),
    question: { about: 'readings', pages },
  }));
  const others = useMemo(() => (shelf?.boards ?? []).filter((b) => b.id !== board.id), [shelf, board.id]);
  const habits = useMemo(() => habitsOf(board.maker, others), [board.maker, others]);
  const [fault, setFault] = useState<string | null>(null);
  const trustAgain = async (field: string) => {
    setFault(null);
    for (const other of withoutHabit(board.maker, field, others)) {
      const refused = await putBoard(other);
      if (refused) return setFault(`${other.name}: ${refused}`);
    }
  };
  const [version, setVersion] = useState<string | null>(null);
  const versions = versionsIn(read?.readings ?? []);
  // A version of a page that was put away is none of this one.
  const chosen = version !== null && versions.includes(version) ? version : null;
  const readings = useMemo(
    () => doubtedByHabit(listedReadings(read?.readings ?? [], chosen).slice(0, mostReadings), habits),
    [read, habits, chosen],
  );
  // A source that is read again is another one.
  const id = useMemo(() => `s-${crypto.randomUUID()}`, [pages]); // oxlint-disable-line react-hooks/exhaustive-deps

  const latest = useRef(board);
  useEffect(() => {
    latest.current = board;
  }, [board]);
  const sent = useRef(new Set<string>());
  const keepPictures = async (numbers: readonly number[]) => {
    if (!opened) return;
    for (const number of numbers) {
      if (sent.current.has(`${id} ${number}`)) continue;
      sent.current.add(`${id} ${number}`);
      const picture = await opened.pictureOf(number).catch(() => null);
      if (!picture) continue;
      const { ok, said } = await askServer<{ id: string }>(
        `/api/photos?about=source:${board.id}`,
        { method: 'POST', body: picture },
        'The server does not answer.',
      );
      // Without the picture the page's words still say where a figure stands.
      if (ok && said.id) onChange(withPictureOfPage(latest.current, id, number, said.id));
    }
  };
  const take = (taken: { read: Reading; meant: Reading }[]) => {
    const name = opened?.name ?? (text.trim().split('\n')[0] ?? '').slice(0, 60);
    const from = {
      source: { id, name: name || 'a text', kind: opened?.kind ?? ('text' as const), seen: today() },
      pages,
      joined: whole,
    };
    const noted = taken.reduce((b, { read: r, meant }) => withCorrection(b, r, meant, today()), latest.current);
    const next = withReadings(
      noted,
      taken.map((t) => t.meant),
      { origin, seen: today() },
      from,
    );
    latest.current = next;
    onChange(next);
    void keepPictures([...new Set(taken.map((t) => whole.placeAt(t.meant.start, t.meant.end).page))]);
  };
  const drop = (e: DragEvent) => {
    e.preventDefault();
    setOver(false);
    const files = [...e.dataTransfer.files];
    const html = e.dataTransfer.getData('text/html');
    if (files.length > 0) void source.open(files);
    else if (html) void source.open([new File([`<!doctype html>${html}`], 'dropped page.html')]);
    else setText(e.dataTransfer.getData('text/plain'));
  };
  const paste = (e: ClipboardEvent) => {
    const files = [...e.clipboardData.files];
    if (files.length === 0) return;
    e.preventDefault();
    void source.open(files);
  };
  return (
    <Box
      component="section"
      aria-label="Read a page"
      onDragOver={(e) => (e.preventDefault(), setOver(true))}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      onPaste={paste}
      sx={{ outline: over ? '2px dashed var(--copper)' : 'none', outlineOffset: 4 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Read a page
        </Typography>
        {opened && (
          <Button onClick={() => setOpened(null)} aria-label={`Put away ${opened.name}`}>
            Put away
          </Button>
        )}
        <PickFiles
          outlined
          words="Open a file"
          label="Page, PDF, picture or table"
          accept={pageFiles}
          onPick={(files) => void open(files)}
        />
      </Box>
      {opened ? (
        <Box sx={{ fontSize: 12.5 }}>
          {opened.name}: {opened.kind}, {opened.pages.length === 1 ? 'one page' : `${opened.pages.length} pages`}
        </Box>
      ) : (
        <TextField
          multiline
          minRows={3}
          maxRows={8}
          fullWidth
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder="Paste a shop page, a manual, or what is printed on the board; or drop a PDF, a saved page, a photo, a screenshot or a table here"
          slotProps={{ htmlInput: { 'aria-label': 'Text of the spec sheet' } }}
        />
      )}
      {source.way && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', fontSize: 12 }} role="status">
          <Box sx={{ flex: 1 }}>
            {source.way.name}: {source.way.words}
            <LinearProgress
              variant="determinate"
              value={100 * source.way.share}
              aria-label={`Reading ${source.way.name}`}
            />
          </Box>
          <Button onClick={source.stop}>Stop</Button>
        </Box>
      )}
      {source.said && (
        <Box role="alert" sx={{ fontSize: 12.5, color: 'warning.main' }}>
          {source.said}
        </Box>
      )}
      {!blank && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', fontSize: 12, mt: 0.5 }}>
          Whose word:
          <Select
            value={origin}
            onChange={(e) => setOrigin(e.target.value)}
            inputProps={{ 'aria-label': 'Whose word this text is' }}
          >
            {origins.map((o) => (
              <MenuItem key={o} value={o}>
                {o}
              </MenuItem>
            ))}
          </Select>
        </Box>
      )}
      {fault && (
        <Box role="alert" sx={{ color: 'error.main', fontSize: 12.5 }}>
          {fault}
        </Box>
      )}
      {habits.map((h) => (
        <Box key={h.field} sx={{ fontSize: 12, color: 'text.secondary' }}>
          {board.maker}: {fieldWords(h.field)} was put right on{' '}
          {h.cases
            .map((c) => `${c.board} (${c.read} to ${c.meant})`)
            .slice(-3)
            .join(', ')}
          ; it is doubted here.{' '}
          <Button
            size="small"
            aria-label={`Trust it again: ${board.maker}, ${fieldWords(h.field)}`}
            onClick={() => void trustAgain(h.field)}
          >
            Trust it again
          </Button>
        </Box>
      ))}
      {versions.length > 1 && (
        <Box
          sx={{ display: 'flex', gap: 1, alignItems: 'center', fontSize: 12.5 }}
          role="group"
          aria-label="Which version"
        >
          This page sells {versions.length} versions. Which is it?
          {versions.map((v) => (
            <Button
              key={v}
              variant={v === chosen ? 'contained' : 'outlined'}
              aria-pressed={v === chosen}
              onClick={() => setVersion(v === chosen ? null : v)}
            >
              {v}
            </Button>
          ))}
        </Box>
      )}
      {read && (
        <Proposals
          key={`p ${whole.text}`}
          board={board}
          read={read}
          said={{ origin, seen: today() }}
          onTake={(next) => onChange(next(latest.current))}
        />
      )}
      {readings.length > 0 && (
        <Readings key={`${chosen} ${whole.text}`} board={board} text={whole.text} readings={readings} onTake={take} />
      )}
      {(read?.readings.length ?? 0) > mostReadings && (
        <Box sx={{ fontSize: 12, color: 'warning.main' }}>
          The first {mostReadings} of {read!.readings.length} figures are listed. This is more than one board: paste the
          part that is about it.
        </Box>
      )}
      {!blank && read?.readings.length === 0 && read.pads.length === 0 && (
        <Box sx={{ fontSize: 12.5 }}>
          No figure in this text was understood. Type what you read into the boxes on the left.
        </Box>
      )}
    </Box>
  );
}
