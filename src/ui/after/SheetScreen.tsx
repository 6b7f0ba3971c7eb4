'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { useEffect, useState } from 'react';
import { buildSheet, sheetMarkdown, type BuildSheet, type Step } from '@/core';
import { useRoom } from '../room/store';
import { saveAs } from '../shelf/save-as';
import { Repin } from './Repin';
import { WithBoard, type Chosen } from './use-chosen';

/** From the parcel to the first flight, step by step with the reason of each; printed through the browser. */
export function SheetScreen() {
  return <WithBoard title="Build sheet">{(chosen) => <Sheet {...chosen} />}</WithBoard>;
}

function Sheet({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const sheet = buildSheet(build, board, climb);
  const total = [
    sheet.before,
    sheet.bridges,
    sheet.solder,
    sheet.mounting,
    sheet.checks,
    sheet.powerUp,
    sheet.calibrate,
  ].flat();
  const done = total.filter((s) => build.done[doneKey(board.id, s)]).length;
  return (
    <Box className="sheet" sx={{ maxWidth: 900 }}>
      <Box className="no-print" sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 1 }}>
        <span>
          {done} of {total.length} steps done
        </span>
        <Box sx={{ flex: 1 }} />
        <Button onClick={() => saveAs('build-sheet.md', 'text/markdown', sheetMarkdown(sheet))}>Markdown</Button>
        <Button onClick={() => saveAs('build-sheet.json', 'application/json', JSON.stringify(sheet, null, 1))}>
          JSON
        </Button>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </Box>
      <Box component="h2" sx={{ fontSize: 17, m: 0 }}>
        {sheet.title}
      </Box>
      <Box component="ul" sx={{ m: 0, my: 1, pl: 2.5, color: 'error.main', fontSize: 12.5 }} aria-label="Cautions">
        {sheet.cautions.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </Box>
      <Steps title="Before you start" steps={sheet.before} board={board.id} />
      <Steps title="Bridges to set" steps={sheet.bridges} board={board.id} />
      <Wires sheet={sheet} />
      {sheet.repin && <Repin {...sheet.repin} />}
      <Steps title="Solder in this order" steps={sheet.solder} board={board.id} />
      <Steps title="Mount" steps={sheet.mounting} board={board.id} />
      <Settings sheet={sheet} />
      <Steps title="Before power" steps={sheet.checks} board={board.id} />
      <Steps title="Power up" steps={sheet.powerUp} board={board.id} />
      <Steps title="Calibrate" steps={sheet.calibrate} board={board.id} />
      <Code />
    </Box>
  );
}

const doneKey = (board: string, s: Step) => `${board} ${s.key}`.slice(0, 120);

function Steps({ title, steps, board }: { title: string; steps: Step[]; board: string }) {
  const { build, edit } = useRoom('build', 'edit');
  if (steps.length === 0) return null;
  const tick = (s: Step) =>
    edit(`tick ${s.key}`, (b) => {
      const { [doneKey(board, s)]: was, ...rest } = b.done;
      return { ...b, done: was ? rest : { ...b.done, [doneKey(board, s)]: true } };
    });
  return (
    <section>
      <Box component="h3" sx={{ fontSize: 14, mt: 1.5, mb: 0.25 }}>
        {title}
      </Box>
      {steps.map((s) => (
        <Box
          key={s.key}
          sx={{
            display: 'flex',
            gap: 0.5,
            alignItems: 'flex-start',
            borderBottom: '1px solid var(--hair)',
            breakInside: 'avoid',
          }}
        >
          <Checkbox
            checked={build.done[doneKey(board, s)] === true}
            onChange={() => tick(s)}
            slotProps={{ input: { 'aria-label': s.does } }}
          />
          <Box sx={{ fontSize: 12.5, pt: 0.25 }}>
            {s.does}{' '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {s.why}
            </Box>
          </Box>
        </Box>
      ))}
    </section>
  );
}

function Wires({ sheet }: { sheet: BuildSheet }) {
  return (
    <section>
      <Box component="h3" sx={{ fontSize: 14, mt: 1.5, mb: 0.25 }}>
        Wires: {sheet.wires.length}, {(sheet.wires.reduce((s, w) => s + w.lengthMm, 0) / 1000).toFixed(2)} m,{' '}
        {sheet.wires.reduce((s, w) => s + w.grams, 0).toFixed(1)} g
      </Box>
      <table>
        <thead>
          <tr>
            <th>Part</th>
            <th>From pad</th>
            <th>To</th>
            <th className="n">AWG</th>
            <th className="n">mm</th>
            <th>Colour</th>
          </tr>
        </thead>
        <tbody>
          {sheet.wires.map((w, i) => (
            <tr key={i}>
              <td>{w.partName}</td>
              <td>{w.from}</td>
              <td>
                {w.to}
                {w.warning ? `. Mind: ${w.warning}` : ''}
              </td>
              <td className="n">{w.gauge}</td>
              <td className="n">{w.lengthMm}</td>
              <td>{w.colour}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Settings({ sheet }: { sheet: BuildSheet }) {
  if (sheet.settings.length === 0) return null;
  return (
    <section>
      <Box component="h3" sx={{ fontSize: 14, mt: 1.5, mb: 0.25 }}>
        Port settings
      </Box>
      <table>
        <thead>
          <tr>
            <th>Port</th>
            <th>Part</th>
            <th>Function</th>
            <th>Sense</th>
            <th>Duplex</th>
            <th>Speed</th>
          </tr>
        </thead>
        <tbody>
          {sheet.settings.map((p, i) => (
            <tr key={i}>
              <td>{p.port}</td>
              <td>{p.part}</td>
              <td>{p.function}</td>
              <td>{p.sense}</td>
              <td>{p.duplex}</td>
              <td>{p.baud}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** The page's own address as a code for the phone on the bench. */
function Code() {
  const [image, setImage] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    void import('qrcode')
      .then((qr) => qr.toDataURL(window.location.href, { margin: 1, width: 96 }))
      .then((data) => !gone && setImage(data));
    return () => {
      gone = true;
    };
  }, []);
  return image ? (
    <Box sx={{ mt: 1.5, fontSize: 11, color: 'text.secondary' }}>
      <img src={image} width={96} height={96} alt="Code with the address of this sheet" />
      <br />
      opens this sheet on the phone
    </Box>
  ) : null;
}
