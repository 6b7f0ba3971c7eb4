'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { Fault } from '@/core';
import { askServer } from '../room/ask-server';

interface Said {
  ok?: boolean;
  sentence?: string;
  faults?: Fault[];
  boards?: number;
  peripherals?: number;
  builds?: string[];
}

const mostBytes = 50 * 1024 * 1024;

/** Opens a Rung file: a build, a board, a part or a whole shelf. All of it comes in, or nothing. */
export function ImportFile() {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<Said | null>(null);
  const send = async (file: File) => {
    if (file.size > mostBytes) return setSaid({ sentence: `${file.name} is larger than 50 MB. Nothing was changed.` });
    setSaid({ sentence: `Reading ${file.name} ...` });
    const answer = await askServer<Said>(
      '/api/import',
      { method: 'POST', body: file },
      'The server does not answer. Nothing was changed.',
    );
    setSaid(answer.said);
    if (answer.ok) router.refresh();
  };
  return (
    <Box sx={{ display: 'inline-block' }}>
      <Button variant="outlined" onClick={() => input.current?.click()}>
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
            ? `Came in: ${said.boards} boards, ${said.peripherals} parts, ${said.builds?.length ?? 0} builds.`
            : said.sentence}
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
