'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { parseAsBoolean, useQueryState } from 'nuqs';
import {
  asItLies,
  buildSheet,
  drawHookup,
  sheetMarkdown,
  sheetSteps,
  type Board,
  type BuildSheet,
  type Climb,
} from '@/core';
import { FaceFigure } from '../hookup/FaceFigure';
import { Faces } from '../hookup/Faces';
import { today } from '../room/today';
import { Cables } from './Cables';
import { doneKey } from './done';
import { MotorMapFigure } from './MotorMapFigure';
import { SolderWalk } from './SolderWalk';
import { useMeasure, useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { json, markdown, useTakeOut } from '../frame/take-out';
import { Repin } from './Repin';
import { Steps } from './Steps';
import { WithBoard, type Chosen } from './use-chosen';

/** From the parcel to the first flight, step by step with the reason of each; printed through the browser. */
export function SheetScreen() {
  return <WithBoard title="Build sheet">{(chosen) => <Sheet {...chosen} />}</WithBoard>;
}

function Sheet({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const [walking, setWalking] = useQueryState('walk', parseAsBoolean.withDefault(false));
  const sheet = buildSheet(build, board, climb);
  const total = sheetSteps(sheet);
  const done = total.filter((s) => build.done[doneKey(board.id, s)]).length;
  useTakeOut(() => [
    { says: 'Save the sheet as Markdown', file: markdown(`${build.id}-sheet`), text: () => sheetMarkdown(sheet) },
    { says: 'Save the sheet as JSON', file: json(`${build.id}-sheet`), text: () => JSON.stringify(sheet, null, 1) },
  ]);
  if (walking)
    return (
      <SolderWalk
        steps={[...sheet.bridges, ...sheet.solder]}
        board={board}
        climb={climb}
        wires={sheet.wires}
        onClose={() => void setWalking(null)}
      />
    );
  return (
    <Box className="sheet" sx={{ maxWidth: 900 }}>
      <Box className="no-print" sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 1 }}>
        <span>
          {done} of {total.length} steps done
        </span>
        <Box sx={{ flex: 1 }} />
        <Button variant="outlined" onClick={() => void setWalking(true)}>
          Walk it joint by joint
        </Button>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </Box>
      <Box component="h2" sx={{ fontSize: 17, m: 0 }}>
        {sheet.title}
      </Box>
      <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
        {board.members
          ? `Revisions ${board.members.map((m) => `${m.board.revision} of ${m.board.name}`).join(', ')}`
          : `Revision ${sheet.revision} of the board`}
        ; sheet of {today()}.
      </Box>
      <Drawing board={board} climb={climb} sheet={sheet} />
      <Box component="ul" sx={{ m: 0, my: 1, pl: 2.5, color: 'error.main', fontSize: 12.5 }} aria-label="Cautions">
        {sheet.cautions.map((c) => (
          <li key={c}>{c}</li>
        ))}
      </Box>
      <Steps title="Before you start" steps={sheet.before} board={board.id} />
      <Steps title="Bridges to set" steps={sheet.bridges} board={board.id} />
      <Wires sheet={sheet} />
      {sheet.repin && <Repin {...sheet.repin} />}
      <Cables cables={sheet.cables} />
      <Steps title="Mind" steps={sheet.mind} board={board.id} />
      <Steps title="Solder in this order" steps={sheet.solder} board={board.id} />
      <Steps title="Mount" steps={sheet.mounting} board={board.id} />
      <Settings sheet={sheet} />
      <Steps title="Before power" steps={sheet.checks} board={board.id} />
      <Steps title="Power up" steps={sheet.powerUp} board={board.id} />
      {sheet.motors && <MotorMapFigure map={sheet.motors} />}
      <Steps title="Set up, in this order" steps={sheet.setUp} board={board.id} />
      <Steps title="Calibrate" steps={sheet.calibrate} board={board.id} />
      <Code />
    </Box>
  );
}

/** The hookup as it is soldered, on the first page. */
function Drawing({ board, climb, sheet }: { board: Board; climb: Climb; sheet: BuildSheet }) {
  const { build } = useRoom('build');
  const lying = asItLies(build, board);
  return (
    <Box sx={{ my: 1, breakInside: 'avoid' }}>
      <Faces faces={drawHookup(lying, climb.hookup, sheet.wires, { stubs: true })}>
        {(f) => <FaceFigure drawing={f} />}
      </Faces>
      <Box sx={{ fontSize: 11 }}>A number at a pad is the part that joins there.</Box>
    </Box>
  );
}

function Wires({ sheet }: { sheet: BuildSheet }) {
  const length = useMeasure('mm');
  const words = useWords();
  return (
    <section>
      <Box component="h3" sx={{ fontSize: 14, mt: 1.5, mb: 0.25 }}>
        {words(
          `Wires: ${sheet.wires.length}, ${(sheet.wires.reduce((s, w) => s + w.lengthMm, 0) / 1000).toFixed(2)} m, ${sheet.wires.reduce((s, w) => s + w.grams, 0).toFixed(1)} g`,
        )}
      </Box>
      <table>
        <thead>
          <tr>
            <th>Part</th>
            <th>From pad</th>
            <th>To its pin</th>
            <th className="n">AWG</th>
            <th className="n">{length.unit}</th>
            <th>Colour</th>
          </tr>
        </thead>
        <tbody>
          {sheet.wires.map((w, i) => (
            <tr key={i}>
              <td>{sheet.wires[i - 1]?.part === w.part ? '' : w.partName}</td>
              <td>{w.from}</td>
              <td>
                {[w.pin.of, w.pin.name, w.pin.colour].filter(Boolean).join(', ')}
                {w.warning ? `. Mind: ${w.warning}` : ''}
              </td>
              <td className="n">{w.gauge}</td>
              <td className="n">{length.show(w.lengthMm)}</td>
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
