'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import {
  parseAsArrayOf,
  parseAsBoolean,
  parseAsInteger,
  parseAsString,
  parseAsStringLiteral,
  useQueryStates,
} from 'nuqs';
import { useDeferredValue, useEffect, useMemo, useRef, useState, type ComponentProps } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { climbMarkdown, currencySign, rankClimbs, rungNames, type Ranked, tellingRung } from '@/core';
import { SavedViews } from '../frame/SavedViews';
import { Term } from '../frame/Term';
import { useMeasure, useWords } from '../frame/ways';
import { usePrinting } from '../frame/print';
import { MarkKey } from '../marks/Key';
import { rungPitch } from '../marks/LadderStrip';
import { verdictColour } from '../marks/words';
import { BuildDoubts } from '../decide/BuildDoubts';
import { useDecide } from '../decide/use-decide';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';
import { Filters } from './Filters';
import { arrange } from './arrange';
import { InTheWay } from './InTheWay';
import { LadderRow } from './LadderRow';
import { Moves } from './Moves';
import { RungReader } from './RungReader';
import { SetAside } from './SetAside';
import { Sets } from './Sets';
import { Waiting } from './Waiting';
import { useVirtualizer } from '@tanstack/react-virtual';
import { asCsv, fixFilters, massWords, madeOf, sortKeys, toldOf, verdicts } from './stop';
import { useLetterKey } from '../frame/letter-keys';
import { csv, useTakeOut } from '../frame/take-out';

/** Every state of the ladder has an address. */
const address = {
  q: parseAsString.withDefault(''),
  sort: parseAsStringLiteral(sortKeys).withDefault('rank'),
  hide: parseAsArrayOf(parseAsStringLiteral(verdicts)).withDefault([]),
  board: parseAsString,
  rung: parseAsInteger,
  stops: parseAsInteger,
  most: parseAsInteger,
  light: parseAsInteger,
  fix: parseAsStringLiteral(fixFilters),
  of: parseAsStringLiteral(madeOf),
  with: parseAsString,
  home: parseAsBoolean.withDefault(false),
};

/** `waiting`: boards of a large shelf, named until the first have climbed. */
export function LadderScreen({ waiting }: { waiting: ComponentProps<typeof Waiting>['boards'] }) {
  const { build, ranking: newest } = useRoom('build', 'ranking');
  // A new order of many boards is drawn when the page is free, not before the letter that is being typed.
  const ranking = useDeferredValue(newest);
  const { shelfFault, reloadShelf, shelf } = useShelf();
  const router = useRouter();
  const [view, setView] = useQueryStates(address, { history: 'replace' });
  const filter = useRef<HTMLInputElement>(null);
  // Looked for only when asked: each fix is proved by climbing again.
  const mended = useDecide(view.fix ? { about: 'mending' } : null);
  const ranked = useMemo(
    () =>
      mended
        ? rankClimbs(
            (ranking.ranked ?? []).map((r) => r.climb),
            mended,
          )
        : ranking.ranked,
    [ranking.ranked, mended],
  );
  const aside = useMemo(() => (ranked ?? []).filter((r) => r.climb.setAside), [ranked]);
  const kinds = useMemo(() => new Map(shelf?.boards.map((b) => [b.id, b.kind])), [shelf]);
  const rows = useMemo(
    () =>
      arrange(
        (ranked ?? []).filter((r) => !r.climb.setAside),
        view,
        mended,
        kinds,
        build.atHome,
      ),
    [ranked, view, mended, kinds, build.atHome],
  );
  const told = useMemo(() => toldOf(rows), [rows]);
  // Where the first few have climbed the others stay named below them.
  const stillWaiting = useMemo(() => {
    const climbed = new Set(ranking.partial?.climbs.map((c) => c.boardId));
    return climbed.size < waiting.length && ranking.partial ? waiting.filter(({ id }) => !climbed.has(id)) : [];
  }, [ranking.partial, waiting]);
  const at = Math.max(
    0,
    rows.findIndex((r) => r.climb.boardId === view.board),
  );
  const current = rows[at] ?? null;
  const asked = view.rung ?? (current ? (tellingRung(current.climb)?.rung ?? 1) : 1);
  const rung = Math.max(1, Math.min(rungNames.length, asked));

  useTakeOut(() => [
    { says: 'Copy the ladder as text', text: () => asCsv(rows, '\t', build.currency) },
    { says: 'Save the ladder as CSV', file: csv(`${build.id}-ladder`), text: () => asCsv(rows, ',', build.currency) },
    ...(current
      ? [{ says: `Copy the findings of ${current.climb.boardName}`, text: () => climbMarkdown(build, current.climb) }]
      : []),
  ]);
  /** What the pointer is over: told at the foot, chosen only by a click. */
  const [over, setOver] = useState<{ board: string; rung: number } | null>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 37,
    overscan: 10,
  });
  const printing = usePrinting();
  const all = rows.map((_, index) => ({ index, start: 0 }));
  const step = (by: number) =>
    void setView((c) => {
      const from = Math.max(
        0,
        rows.findIndex((r) => r.climb.boardId === c.board),
      );
      return { ...c, board: rows[Math.max(0, Math.min(rows.length - 1, from + by))]?.climb.boardId ?? null };
    });
  const toRung = (to: number) =>
    void setView((c) => ({ board: c.board ?? current?.climb.boardId ?? null, rung: Math.max(1, Math.min(10, to)) }));
  const [filters, setFilters] = useState(false);
  const mass = useMeasure('g');
  const words = useWords();
  const ladder = useRef<HTMLDivElement>(null);
  // A menu, a box or a button that has the focus keeps its own keys.
  const isMine = () => {
    const at = document.activeElement;
    return at === null || at === document.body || at.id === 'page' || (ladder.current?.contains(at) ?? false);
  };
  const mine = { preventDefault: true, enabled: isMine };
  useHotkeys('down', () => step(1), mine);
  useHotkeys('up', () => step(-1), mine);
  useHotkeys('right', () => toRung(rung + 1), mine);
  useHotkeys('left', () => toRung(rung - 1), mine);
  useLetterKey('0,1,2,3,4,5,6,7,8,9', (e) => isMine() && toRung(e.key === '0' ? 10 : Number(e.key)));
  useHotkeys(
    'enter',
    () => current && router.push(`/b/${build.id}/board/${current.climb.boardId}`),
    // A link or a word that has the focus answers for itself.
    { enabled: () => isMine() && document.activeElement?.matches('a, button') !== true },
  );
  useLetterKey(
    's',
    () =>
      isMine() &&
      current &&
      router.push(
        `/b/${build.id}/compare?boards=${[
          current.climb.boardId,
          ...rows
            .filter((r) => r !== current)
            .slice(0, 2)
            .map((r) => r.climb.boardId),
        ].join(',')}`,
      ),
  );
  useLetterKey('f', () => isMine() && current && router.push(`/b/${build.id}/hookup/${current.climb.boardId}`));
  useLetterKey('/', () => filter.current?.focus(), { preventDefault: true, useKey: true });
  useEffect(() => {
    if (at >= 0 && view.board) virtual.scrollToIndex(at);
    // The list itself changes with every ranking; only a move of the cursor scrolls.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [view.board]);

  if (shelfFault) {
    return (
      <Box role="alert" sx={{ p: 3 }}>
        {shelfFault} <Button onClick={reloadShelf}>Ask again</Button>
      </Box>
    );
  }
  if (ranking.fault)
    return (
      <Box role="alert" sx={{ p: 3 }}>
        {ranking.fault}
      </Box>
    );
  if (!ranking.ranked) {
    return (
      <>
        <h1 className="sr">Ladder</h1>
        <Box role="status" sx={{ p: 3, color: 'text.secondary' }}>
          {shelf ? `${shelf.boards.length} boards are climbing ...` : 'The shelf is on its way ...'}{' '}
          {ranking.progress && (
            <progress
              value={ranking.progress.done}
              max={ranking.progress.total}
              aria-label="Boards that have climbed"
            />
          )}
        </Box>
        <Waiting build={build.id} boards={waiting} />
      </>
    );
  }
  const count = (v: (typeof verdicts)[number]) =>
    ranking.ranked!.filter((r) => r.climb.verdict === v && !r.climb.setAside).length;
  const best = ranking.ranked[0];

  let said: string;
  if (current && (view.board !== null || view.rung !== null)) said = rowSaid(current, rung);
  else if (ranking.busy) said = '';
  else if (best) said = `First: ${best.climb.boardName}, ${best.climb.verdict}.`;
  else said = '';
  return (
    // Where there is little room the page scrolls, and the rows keep some of it.
    <Box className="paper" sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 460 }}>
      <h1 className="sr">Ladder</h1>
      <Box
        className="no-print"
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          px: 2,
          py: 0.25,
          borderBottom: '1px solid var(--hair)',
          flexWrap: 'wrap',
        }}
      >
        <TextField
          inputRef={filter}
          placeholder="Filter by name, maker or reason"
          value={view.q}
          onChange={(e) => void setView({ q: e.target.value || null })}
          onKeyDown={(e) => e.key === 'Escape' && (e.target as HTMLElement).blur()}
          slotProps={{ htmlInput: { 'aria-label': 'Filter boards' } }}
          sx={{ width: 210 }}
        />
        <Select
          value={view.sort}
          onChange={(e) => void setView({ sort: e.target.value })}
          inputProps={{ 'aria-label': 'Order' }}
          sx={{ width: 110 }}
        >
          {sortKeys.map((k) => (
            <MenuItem key={k} value={k}>
              by {k}
            </MenuItem>
          ))}
        </Select>
        <Box role="group" aria-label="Verdicts shown" sx={{ display: 'flex', gap: 0.5 }}>
          {verdicts.map((v) => {
            const shown = !view.hide.includes(v);
            return (
              <Button
                key={v}
                aria-pressed={shown}
                onClick={() => void setView({ hide: shown ? [...view.hide, v] : view.hide.filter((h) => h !== v) })}
                sx={{
                  color: shown ? verdictColour[v] : 'text.secondary',
                  textDecoration: shown ? 'none' : 'line-through',
                  px: 0.75,
                }}
              >
                {count(v)} {v}
              </Button>
            );
          })}
        </Box>
        <Box sx={{ flex: 1 }} />
        <SavedViews screen="ladder" />
        <Box sx={{ display: { xs: filters ? 'block' : 'none', md: 'block' } }}>
          <MarkKey />
        </Box>
      </Box>
      <Box className="no-print" sx={{ display: { xs: 'block', md: 'none' }, px: 2 }}>
        <Button aria-expanded={filters} onClick={() => setFilters(!filters)}>
          {filters ? 'Fewer filters' : 'More filters'}
        </Button>
      </Box>
      <Box sx={{ display: { xs: filters ? 'block' : 'none', md: 'block' } }}>
        <Filters view={view} looking={view.fix !== null && !mended} onChange={(change) => void setView(change)} />
      </Box>
      <Box sx={{ px: 2 }}>
        <BuildDoubts />
      </Box>
      <InTheWay />
      <SetAside aside={aside} />
      <Sets />
      <Moves />
      <Box role="status" aria-live="polite" className="sr">
        {said}
      </Box>
      <Box
        ref={scroller}
        className="paper"
        sx={{
          flex: 1,
          minHeight: 0,
          overflow: 'auto',
          opacity: ranking.busy && !ranking.partial && !ranking.sets?.busy ? 0.75 : 1,
        }}
      >
        <Box
          ref={ladder}
          role="grid"
          onMouseLeave={() => setOver(null)}
          aria-label="Boards and the rungs they reach"
          aria-rowcount={rows.length}
          sx={{ minWidth: 940 }}
        >
          <Box
            role="row"
            sx={{
              display: 'flex',
              alignItems: 'flex-end',
              px: 2,
              position: 'sticky',
              top: 0,
              background: 'var(--paper)',
              zIndex: 1,
              borderBottom: '1px solid var(--ink)',
              fontSize: 11.5,
              color: 'text.secondary',
            }}
          >
            <Box role="columnheader" sx={{ width: 182, flexShrink: 0 }}>
              Board
            </Box>
            {rungNames.map((name, i) => (
              <Box
                role="columnheader"
                key={name}
                sx={{
                  width: rungPitch,
                  flexShrink: 0,
                  textAlign: 'center',
                  fontStretch: '76%',
                  color: rung === i + 1 ? 'primary.main' : undefined,
                }}
              >
                <Box component="span" sx={{ display: 'block', fontSize: 10 }}>
                  {i + 1}
                </Box>
                <Term>{name}</Term>
              </Box>
            ))}
            <Box role="columnheader" sx={{ flex: 1, pl: 1.5 }}>
              Why it stops, or what is not quite right
            </Box>
            <Box role="columnheader" sx={{ width: 54, textAlign: 'right' }} title="Take-off mass with everything">
              {mass.unit}
            </Box>
            <Box
              role="columnheader"
              sx={{ width: 66, textAlign: 'right' }}
              title="Board and parts still to buy, landed"
            >
              to pay {currencySign(build.currency)}
            </Box>
          </Box>
          <Box sx={{ height: printing ? 'auto' : virtual.getTotalSize(), position: 'relative' }}>
            {(printing ? all : virtual.getVirtualItems()).map((v) => {
              const r = rows[v.index]!;
              return (
                <Box
                  key={r.climb.boardId}
                  sx={printing ? {} : { position: 'absolute', top: v.start, left: 0, right: 0 }}
                >
                  <LadderRow
                    currency={build.currency}
                    ranked={r}
                    mended={mended?.[r.climb.boardId]}
                    before={ranking.before.get(r.climb.boardId)}
                    current={v.index === at}
                    rung={v.index === at ? rung : null}
                    over={over?.board === r.climb.boardId ? over.rung : null}
                    onOver={(n) => setOver(n === null ? null : { board: r.climb.boardId, rung: n })}
                    grams={massWords(r.climb, mass.show)}
                    words={words}
                    told={mended ? { above: [], tells: tellingRung(r.climb) } : told[v.index]!}
                    onPick={(n) => void setView({ board: r.climb.boardId, rung: n })}
                    href={`/b/${build.id}/board/${r.climb.boardId}`}
                  />
                </Box>
              );
            })}
          </Box>
        </Box>
        {stillWaiting.length > 0 && <Waiting build={build.id} boards={stillWaiting} />}
        {rows.length === 0 && stillWaiting.length === 0 && (
          <Box sx={{ p: 3, color: 'text.secondary' }}>
            {ranking.ranked.length === 0
              ? 'The shelf is empty. Open a Rung file with boards on the first page.'
              : 'No board is left by this filter.'}
          </Box>
        )}
      </Box>
      <Read rows={rows} current={current} rung={rung} over={over} />
    </Box>
  );
}

/** What the keys chose, for whoever does not see it. */
function rowSaid({ climb, rank }: Ranked, rung: number): string {
  const at = climb.rungs[rung - 1]!;
  return `${climb.boardName}, place ${rank}, ${climb.verdict}. ${at.name}: ${at.state}.`;
}

/** At the foot: the rung under the pointer, else the one that is chosen. */
function Read({
  rows,
  current,
  rung,
  over,
}: {
  rows: Ranked[];
  current: Ranked | null;
  rung: number;
  over: { board: string; rung: number } | null;
}) {
  const under = over && rows.find((r) => r.climb.boardId === over.board);
  if (under) return <RungReader ranked={under} rung={over.rung} />;
  return current && <RungReader ranked={current} rung={rung} />;
}
