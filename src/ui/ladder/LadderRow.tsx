import { firstSentence, list, money, plainMoney, type Mended, type Ranked } from '@/core';
import Box from '@mui/material/Box';
import { Link } from '../frame/Link';
import type { MouseEvent } from 'react';
import { LadderStrip, rungPitch } from '../marks/LadderStrip';
import { stateColour, verdictColour } from '../marks/words';
import type { Told } from './stop';

interface Props {
  ranked: Ranked;
  /** Its cheapest fixes; null: none found; undefined: not looked for. */
  currency: string;
  mended: Mended[string] | undefined;
  before: number | undefined;
  current: boolean;
  rung: number | null;
  grams: string;
  words: (text: string) => string;
  told: Told;
  href: string;
  onPick: (rung: number | null) => void;
  /** The rung under the pointer. */
  over: number | null;
  onOver: (rung: number | null) => void;
}

export function LadderRow({
  ranked,
  currency,
  mended,
  before,
  current,
  rung,
  grams,
  words,
  told: { above, tells: told },
  href,
  onPick,
  over,
  onOver,
}: Props) {
  const { climb, rank } = ranked;
  const about = told?.findings[0];
  const stopper = climb.members?.find(
    (m) => m.id === about?.member && about && !Object.values(about.says).includes(m.name),
  )?.name;
  let moved: string;
  if (before === undefined || before === rank) moved = '';
  else if (before > rank) moved = `up ${before - rank}`;
  else moved = `down ${rank - before}`;
  return (
    <Box
      role="row"
      aria-selected={current}
      data-row={climb.boardId}
      data-current={current}
      tabIndex={current ? 0 : -1}
      onClick={() => onPick(null)}
      sx={{
        display: 'flex',
        alignItems: 'center',
        height: 37,
        '@media print': { height: 'auto', minHeight: 37 },
        px: 2,
        borderBottom: '1px solid var(--hair)',
        background: current ? 'var(--copperSoft)' : 'transparent',
        cursor: 'default',
      }}
    >
      <Box role="gridcell" sx={{ width: 182, flexShrink: 0, display: 'flex', gap: 1, lineHeight: 1.15 }}>
        <Box sx={{ width: 20, textAlign: 'right', color: 'text.secondary', fontSize: 12 }}>{rank}</Box>
        <Box sx={{ minWidth: 0 }}>
          <Box
            component={Link}
            href={href}
            sx={{
              display: 'block',
              color: 'text.primary',
              fontWeight: 600,
              textDecoration: 'none',
              whiteSpace: 'nowrap',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              '&:hover': { color: 'primary.main' },
            }}
          >
            {climb.members?.[0]?.name ?? climb.boardName}
          </Box>
          <Box
            title={climb.boardName}
            sx={{
              fontSize: 11,
              color: 'text.secondary',
              whiteSpace: 'nowrap',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
            }}
          >
            {climb.members ? `with ${withWords(climb.members)}` : climb.maker}
            {moved && (
              <Box component="span" sx={{ color: 'primary.main' }}>
                {' '}
                · {moved}
              </Box>
            )}
          </Box>
        </Box>
      </Box>
      <Box
        role="gridcell"
        sx={{ flexShrink: 0, height: 32 }}
        onMouseMove={(e) => {
          const under = rungUnder(e);
          if (under !== over) onOver(under);
        }}
        onMouseLeave={() => onOver(null)}
        onClick={(e) => {
          e.stopPropagation();
          onPick(rungUnder(e));
        }}
      >
        <LadderStrip climb={climb} at={over ?? rung} />
      </Box>
      <Box
        role="gridcell"
        sx={{
          flex: 1,
          minWidth: 0,
          pl: 1.5,
          fontSize: 11.5,
          lineHeight: 1.2,
          maxHeight: 30,
          overflow: 'hidden',
          display: '-webkit-box',
          WebkitLineClamp: 2,
          WebkitBoxOrient: 'vertical',
          '@media print': { maxHeight: 'none', display: 'block' },
        }}
      >
        <Box component="span" sx={{ color: verdictColour[climb.verdict], fontWeight: 620 }}>
          {climb.verdict}
        </Box>
        {above.length > 0 && (
          <>
            {' · '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {list(above)} as above
            </Box>
          </>
        )}
        {told && (
          <>
            {' · '}
            <Box component="span" sx={{ color: stateColour[told.state], fontWeight: 560 }}>
              {told.name}:{' '}
            </Box>
            {stopper && <strong>{stopper}. </strong>}
            {mended ? <strong>{mendingWords(mended, currency)}</strong> : words(firstSentence(told))}
            {mended === null && ' No fix was found.'}
          </>
        )}
      </Box>
      <Box role="gridcell" sx={{ width: 54, textAlign: 'right', fontSize: 12 }}>
        {grams}
      </Box>
      <Box role="gridcell" sx={{ width: 66, textAlign: 'right', fontSize: 12 }}>
        {climb.totalCents === null ? 'no offer' : plainMoney(climb.totalCents)}
      </Box>
    </Box>
  );
}

function rungUnder(e: MouseEvent<HTMLElement>): number {
  const x = e.clientX - e.currentTarget.getBoundingClientRect().left;
  return Math.min(10, Math.max(1, Math.ceil(x / rungPitch)));
}

/** "Joist 55 and Weir 12", "4 x Peg 45". */
function withWords(members: NonNullable<Props['ranked']['climb']['members']>): string {
  return list(members.slice(1).map((m) => (m.count > 1 ? `${m.count} x ${m.name}` : m.name)));
}

/** "Leave out A and feed B from a regulator, €6.50." */
function mendingWords({ words, cents }: NonNullable<Mended[string]>, currency: string): string {
  const [first, ...more] = words;
  const and = more.map((w) => ` and ${w.charAt(0).toLowerCase()}${w.slice(1)}`).join('');
  return `${first}${and}${cents > 0 ? `, ${money(cents, currency)}` : ''}.`;
}
