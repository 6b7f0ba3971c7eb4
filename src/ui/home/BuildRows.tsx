'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from '../frame/Link';
import { counted, type NextAct } from '@/core';
import { focusBeside } from '../frame/focus-beside';
import { useWords } from '../frame/ways';
import type { OnHome } from '@/workers/home.worker';
import type { BuildCard } from './build-card';

/** Each build with how it stands before the shelf, what holds it up, and the next act. */
export function BuildRows({
  builds,
  stands,
  mayWrite,
  onCopy,
  onRemove,
}: {
  builds: BuildCard[];
  stands: OnHome['stands'] | null;
  mayWrite: boolean;
  onCopy: (b: BuildCard) => void;
  /** `focus`: where the focus goes when it is gone. */
  onRemove: (b: BuildCard, focus: () => void) => void;
}) {
  const words = useWords();
  return (
    <Box component="ul" aria-label="Builds" sx={{ m: 0, p: 0, listStyle: 'none', borderTop: '1px solid var(--ink)' }}>
      {builds.map((b) => {
        const at = stands?.[b.id];
        return (
          <Box
            component="li"
            key={b.id}
            sx={{ display: 'flex', gap: 2, borderBottom: '1px solid var(--hair)', py: 0.75, flexWrap: 'wrap' }}
          >
            <Box sx={{ flex: 1, minWidth: 260 }}>
              <Box component={Link} href={`/b/${b.id}`} sx={{ fontWeight: 640, fontSize: 14.5 }}>
                {b.name}
              </Box>
              <Box component="span" sx={{ color: 'text.secondary', ml: 1, fontSize: 12.5 }}>
                {b.cells}S · {counted(b.parts, 'part')} · {b.stage}
                {b.pick && ` · pick: ${b.pick}`}
              </Box>
              <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>{words(b.craft)}</Box>
              <Box sx={{ fontSize: 12.5 }}>{at ? standsWords(at) : 'being worked out ...'}</Box>
            </Box>
            <Box sx={{ width: 300, fontSize: 12.5 }}>
              {at && <Next act={at.act} build={b.id} />}
              <Box sx={{ display: 'flex', gap: 0.5, ml: -0.75 }}>
                <Small href={`/b/${b.id}/ladder`}>Ladder</Small>
                {mayWrite && (
                  <>
                    <Button aria-label={`Copy ${b.name}`} onClick={() => onCopy(b)} sx={small}>
                      Copy
                    </Button>
                    <Button
                      aria-label={`Remove ${b.name}`}
                      onClick={(e) => onRemove(b, focusBeside(e.currentTarget, 'li', 'main h1'))}
                      sx={small}
                    >
                      Remove
                    </Button>
                  </>
                )}
              </Box>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

const small = { px: 0.75, py: 0, minHeight: 24 };

function Small({ href, children }: { href: string; children: string }) {
  return (
    <Button component={Link} href={href} sx={small}>
      {children}
    </Button>
  );
}

function standsWords({ alone, fits, undecided, of, sets, mostStopAt, ofMany }: OnHome['stands'][string]): string {
  const open = undecided > 0 ? `, ${undecided} cannot be told yet` : '';
  const stop = mostStopAt ? `; ${mostStopAt.boards} stop at ${mostStopAt.rung}` : '';
  let among = ofMany ? `the ${of - sets} likeliest boards` : counted(of - sets, 'board');
  if (alone) among += ' by themselves';
  if (sets > 0)
    among += alone ? ` and ${counted(sets, 'set')}` : ` and the ${sets === 1 ? 'best set' : `${sets} best sets`}`;
  return `${fits} fit of ${among}${open}${stop}.`;
}

function Next({ act, build }: { act: NextAct; build: string }) {
  const words = useWords();
  const path = {
    build: '',
    shelf: '/shelf',
    questions: '/questions',
    ladder: '/ladder',
    board: `/board/${act.board}`,
    basket: '/basket',
    sheet: '/sheet',
    bench: '/bench',
    log: '/log',
  }[act.place];
  return (
    <Box>
      <Box component="span" sx={{ color: act.blocked ? 'error.main' : 'success.main', fontWeight: 620 }}>
        {act.blocked ? 'Held up: ' : 'Next: '}
      </Box>
      <Link href={`/b/${build}${path}`}>{words(act.says)}</Link>
    </Box>
  );
}
