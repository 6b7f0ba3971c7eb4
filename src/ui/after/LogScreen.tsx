'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { parseAsString, useQueryState } from 'nuqs';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import {
  currentScale,
  evaluate,
  logCsv,
  logMarkdown,
  measurable,
  rankClimbs,
  typedNumber,
  unitsFor,
  voltageScale,
  whatMoved,
  withReading,
  type Entry,
  type Moved,
} from '@/core';
import { SelectIn, TextIn } from '../form/in-form';
import { useRoom } from '../room/store';
import { ChangedByWriters, ForWriters } from '../room/ForWriters';
import { useShelf } from '../room/use-shelf';
import { NextSteps } from './NextSteps';
import { WorthMeasuring } from './WorthMeasuring';
import { focusBeside } from '../frame/focus-beside';
import { useWords } from '../frame/ways';
import { Photos } from '../shelf/Photos';
import { csv, markdown, useTakeOut } from '../frame/take-out';
import { ReadingSays } from '../bench/ReadingSays';
import { WithBoard, type Chosen } from './use-chosen';
import { today } from '../room/today';

const kinds = ['inspected', 'measured', 'passed', 'failed', 'changed'] as const;
const stages = ['planned', 'picked', 'ordered', 'arrived', 'soldered', 'powered', 'done'] as const;

/** What was checked and measured; a measured figure can go back to the shelf. */
export function LogScreen() {
  return <WithBoard title="Logbook">{(chosen) => <Log {...chosen} />}</WithBoard>;
}

function Log({ board, climb }: Chosen) {
  const { build, edit } = useRoom('build', 'edit');
  const [q, setQ] = useQueryState('q', parseAsString.withDefault(''));
  /** Of which figure of the board the next reading is. */
  const [field, setField] = useQueryState('field', parseAsString.withDefault(''));
  useTakeOut(() => [
    { says: 'Save the logbook as CSV', file: csv(`${build.id}-logbook`), text: () => logCsv(build.log) },
    { says: 'Save the logbook as Markdown', file: markdown(`${build.id}-logbook`), text: () => logMarkdown(build.log) },
  ]);
  const word = q.trim().toLowerCase();
  const shown = [...build.log]
    .reverse()
    .filter(
      (e) =>
        !word ||
        `${e.about} ${e.kind} ${e.note} ${e.reading?.unit ?? ''} ${e.reading?.instrument ?? ''}`
          .toLowerCase()
          .includes(word),
    );
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.4fr) minmax(0, 1fr)' },
        gap: 3,
      }}
    >
      <Box>
        <ChangedByWriters>
          <Box
            sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', mb: 1 }}
            role="group"
            aria-label="How far the build is"
          >
            {stages.map((s) => (
              <Button
                key={s}
                aria-pressed={build.stage === s}
                variant={build.stage === s ? 'contained' : 'outlined'}
                onClick={() => edit('stage', (b) => ({ ...b, stage: s }))}
              >
                {s}
              </Button>
            ))}
          </Box>
        </ChangedByWriters>
        <ForWriters>
          <NewEntry board={board} field={field} onField={(f) => void setField(f)} />
        </ForWriters>
        <Box sx={{ display: 'flex', gap: 1, mt: 1.5, alignItems: 'center' }}>
          <TextField
            placeholder="Search the logbook"
            value={q}
            onChange={(e) => void setQ(e.target.value || null)}
            slotProps={{ htmlInput: { 'aria-label': 'Search the logbook' } }}
          />
        </Box>
        {build.log.length === 0 && (
          <Box sx={{ mt: 1, color: 'text.secondary' }}>
            Nothing entered yet. Start with what you can read without power: the grams on a scale, the ohms between pack
            plus and minus.
          </Box>
        )}
        {shown.map((e) => (
          <OneEntry key={e.id} entry={e} board={board} climb={climb} />
        ))}
      </Box>
      <Box>
        <NextSteps board={board} climb={climb} />
        <WorthMeasuring board={board} onField={(f) => void setField(f)} />
        <Scales />
      </Box>
    </Box>
  );
}

function NewEntry({
  board,
  field,
  onField: setField,
}: Pick<Chosen, 'board'> & { field: string; onField: (field: string) => void }) {
  const { edit } = useRoom('edit');
  const { control, handleSubmit, reset } = useForm({
    defaultValues: { kind: 'measured' as Entry['kind'], about: '', value: '', unit: 'V', instrument: '', note: '' },
  });
  const { kind, unit: typedUnit } = useWatch({ control });
  const fields = measurable(board);
  const chosen = fields.find((f) => f.field === field);
  const unit = chosen ? chosen.unit : (typedUnit ?? '').trim();
  const add = handleSubmit((typed) => {
    const read = typedNumber(typed.value, unit);
    const instrument = typed.instrument.trim();
    const entry: Entry = {
      id: `e${Date.now()}`,
      when: today(),
      about: typed.about.trim() || (chosen?.says ?? ''),
      kind: typed.kind,
      note: typed.note.trim(),
      ...(read === null
        ? {}
        : {
            reading: {
              value: read,
              unit,
              ...(instrument ? { instrument } : {}),
              ...(chosen ? { field: chosen.field.slice(0, 40) } : {}),
            },
          }),
    };
    edit(`log ${entry.id}`, (b) => ({ ...b, log: [...b.log, entry].slice(-2000) }));
    reset({ ...typed, about: '', note: '', value: '' });
  });
  const reading = (text: string) =>
    Number.isNaN(typedNumber(text, unit))
      ? `a number in ${[unit || 'the unit', ...unitsFor(unit)].join(' or ')}`
      : null;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={add}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        alignItems: 'flex-start',
        borderTop: '1px solid var(--hair)',
        pt: 1,
      }}
      aria-label="New entry"
    >
      <SelectIn control={control} name="kind" label="Kind of entry" words={kinds} sx={{ mt: 2 }} />
      <TextIn
        control={control}
        name="about"
        label="Board, pad or step"
        placeholder={chosen?.says}
        inputLabel={chosen ? { shrink: true } : {}}
        wanted={chosen ? undefined : 'Say what it is about'}
        sx={{ width: 150 }}
      />
      <Select
        displayEmpty
        value={field}
        onChange={(e) => setField(e.target.value)}
        inputProps={{ 'aria-label': 'Figure of the board' }}
        renderValue={(v) => fields.find((f) => f.field === v)?.says ?? 'no figure of the board'}
        sx={{ width: 170, mt: 2 }}
      >
        <MenuItem value="">no figure of the board</MenuItem>
        {fields.map((f) => (
          <MenuItem key={f.field} value={f.field}>
            {f.says}
          </MenuItem>
        ))}
      </Select>
      <TextIn
        control={control}
        name="value"
        label={chosen ? `Reading, ${chosen.unit}` : 'Reading'}
        wanted={kind === 'measured' ? 'A number is wanted' : undefined}
        fits={reading}
        most={20}
        htmlInput={{ inputMode: 'decimal' }}
        sx={{ width: 90 }}
      />
      {!chosen && (
        <TextIn control={control} name="unit" label="Unit" wanted="Say it: V, A, g ..." most={12} sx={{ width: 60 }} />
      )}
      <TextIn control={control} name="instrument" label="Instrument" sx={{ width: 110 }} />
      <TextIn control={control} name="note" label="Note" most={600} sx={{ flex: 1, minWidth: 160 }} />
      <Button type="submit" variant="contained" sx={{ mt: 2 }}>
        Enter
      </Button>
    </Box>
  );
}

function OneEntry({ entry, board, climb }: { entry: Entry } & Chosen) {
  const { build, edit, ranking } = useRoom('build', 'edit', 'ranking');
  const { putBoard } = useShelf();
  const [preview, setPreview] = useState<Moved[] | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [pictures, setPictures] = useState(false);
  const [asked, setAsked] = useState(false);
  const words = useWords();
  const measured = withReading(board, entry);
  const look = () => {
    if (!measured || !ranking.ranked) return;
    const after = ranking.ranked.map((r) => (r.climb.boardId === board.id ? evaluate(build, measured) : r.climb));
    setPreview(whatMoved(ranking.ranked, rankClimbs(after)));
  };
  return (
    <Box data-entry sx={{ borderBottom: '1px solid var(--hair)', py: 0.5, fontSize: 12.5 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        <Box sx={{ color: 'text.secondary', width: 74 }}>{words(entry.when)}</Box>
        <strong>{entry.about}</strong>
        <Box component="span" sx={{ color: entry.kind === 'failed' ? 'error.main' : 'text.primary' }}>
          {entry.kind}
          {entry.reading ? ` ${entry.reading.value} ${entry.reading.unit}` : ''}
        </Box>
        <Box sx={{ flex: 1, color: 'text.secondary' }}>
          {entry.reading?.instrument ? `${entry.reading.instrument}. ` : ''}
          {entry.note}
        </Box>
        {measured && <Button onClick={look}>To the shelf ...</Button>}
        {entry.reading?.unit === 'V' && (
          <Button aria-expanded={asked} onClick={() => setAsked(!asked)}>
            What does it say?
          </Button>
        )}
        <Button onClick={() => setPictures(!pictures)}>Pictures</Button>
        <ForWriters>
          <Button
            aria-label={`Remove the entry on ${entry.about}`}
            onClick={(e) => {
              const focus = focusBeside(e.currentTarget, '[data-entry]', '[aria-label="Search the logbook"]');
              edit(`unlog ${entry.id}`, (b) => ({ ...b, log: b.log.filter((x) => x.id !== entry.id) }));
              focus();
            }}
          >
            Remove
          </Button>
        </ForWriters>
      </Box>
      {asked && <ReadingSays entry={entry} board={board} climb={climb} />}
      {pictures && <Photos about={`log:${build.id}:${entry.id}`} />}
      {preview && measured && (
        <Box role="status" sx={{ pl: 1, borderLeft: '3px solid var(--copper)', my: 0.5 }}>
          {preview.length === 0
            ? `As measured, nothing on the ladder moves.`
            : preview.slice(0, 3).map((m) => (
                <Box key={m.boardId}>
                  {m.name}: {m.before === m.after ? m.after : `${m.before} becomes ${m.after}`}, place {m.from} to{' '}
                  {m.to}. {m.because}
                </Box>
              ))}
          <Button
            variant="contained"
            onClick={() =>
              void putBoard(measured).then((f) => (setSaid(f ?? 'The shelf has it as measured.'), setPreview(null)))
            }
          >
            Apply to {board.name}
          </Button>
          <Button onClick={() => setPreview(null)}>Leave it</Button>
        </Box>
      )}
      {said && <Box role="status">{said}</Box>}
    </Box>
  );
}

/** The two calibrations with their formulas. */
function Scales() {
  const [v, setV] = useState({ stated: '', truth: '', shown: '' });
  const [a, setA] = useState({ stated: '', truth: '', shown: '' });
  const n = (s: string) => Number(s.replace(',', '.'));
  const box = (label: string, value: string, onChange: (s: string) => void) => (
    <TextField
      label={label}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      sx={{ width: 104 }}
    />
  );
  const volts = voltageScale(n(v.stated), n(v.truth), n(v.shown));
  const amps = currentScale(n(a.stated), n(a.truth), n(a.shown));
  return (
    <Box component="section" aria-label="Calibrations">
      <Typography variant="h2" sx={{ mt: 2 }}>
        Voltage scale
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {box('scale now', v.stated, (stated) => setV({ ...v, stated }))}
        {box('meter, V', v.truth, (truth) => setV({ ...v, truth }))}
        {box('shown, V', v.shown, (shown) => setV({ ...v, shown }))}
      </Box>
      <Box sx={{ fontSize: 12.5 }}>
        scale now x meter / shown ={' '}
        <strong>{v.stated && v.truth && v.shown && Number.isFinite(volts) ? volts.toPrecision(4) : '?'}</strong>
      </Box>
      <Typography variant="h2" sx={{ mt: 2 }}>
        Current scale
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {box('scale now, mV/A', a.stated, (stated) => setA({ ...a, stated }))}
        {box('known draw, A', a.truth, (truth) => setA({ ...a, truth }))}
        {box('shown, A', a.shown, (shown) => setA({ ...a, shown }))}
      </Box>
      <Box sx={{ fontSize: 12.5 }}>
        scale now x shown / known draw ={' '}
        <strong>{a.stated && a.truth && a.shown && Number.isFinite(amps) ? amps.toPrecision(4) : '?'}</strong>
      </Box>
    </Box>
  );
}
