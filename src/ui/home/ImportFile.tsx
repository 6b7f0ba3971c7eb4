'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Fault } from '@/core';
import { askServer } from '../room/ask-server';

interface Differing {
  kind: 'build' | 'board' | 'part';
  id: string;
  name: string;
  differs: string[];
}

interface Said {
  differing?: Differing[];
  kept?: number;
  ok?: boolean;
  sentence?: string;
  faults?: Fault[];
  boards?: number;
  peripherals?: number;
  builds?: string[];
}

const mostBytes = 50 * 1024 * 1024;

/** Opens a Rung file: a build, a board, a part or a whole shelf. All of it comes in, or nothing; what is here already and says something else is asked about. */
export function ImportFile() {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<Said | null>(null);
  const [asked, setAsked] = useState<File | null>(null);
  const send = async (file: File, over: 'ask' | 'replace' | 'keep' = 'ask') => {
    setAsked(null);
    if (file.size > mostBytes) return setSaid({ sentence: `${file.name} is larger than 50 MB. Nothing was changed.` });
    setSaid({ sentence: `Reading ${file.name} ...` });
    const answer = await askServer<Said>(
      `/api/import?over=${over}`,
      { method: 'POST', body: file },
      'The server does not answer. Nothing was changed.',
    );
    setSaid(answer.said);
    if (answer.said.differing) setAsked(file);
    if (answer.ok) router.refresh();
  };
  return (
    <Box sx={{ display: 'inline-block' }}>
      <Button variant="outlined" onClick={() => input.current?.click()} sx={{ mt: 1.75 }}>
        Open a Rung file
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="Rung file"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) void send(file);
          e.target.value = '';
        }}
      />
      {said && (
        <Box role="status" sx={{ mt: 1, maxWidth: 560, fontSize: 12 }}>
          {said.ok
            ? `Came in: ${said.boards} boards, ${said.peripherals} parts, ${said.builds?.length ?? 0} builds.${said.kept ? ` ${said.kept} stayed as they were here.` : ''}`
            : said.sentence}
          {said.differing && asked && (
            <>
              <ul>
                {said.differing.slice(0, 6).map((d) => (
                  <li key={`${d.kind} ${d.id}`}>
                    <strong>
                      {d.kind} {d.name}
                    </strong>
                    : {d.differs.join('; ') || 'in details'}
                  </li>
                ))}
                {said.differing.length > 6 && <li>and {said.differing.length - 6} more</li>}
              </ul>
              <Button onClick={() => void send(asked, 'replace')}>Take those of the file</Button>
              <Button onClick={() => void send(asked, 'keep')}>Keep those here, bring in the rest</Button>
              <Button onClick={() => (setAsked(null), setSaid(null))}>Change nothing</Button>
            </>
          )}
          {said.faults && (
            <ul>
              {said.faults.slice(0, 8).map((f, i) => (
                <li key={i}>
                  <strong>{f.field || 'the file'}</strong>: {f.sentence}
                </li>
              ))}
            </ul>
          )}
        </Box>
      )}
    </Box>
  );
}
