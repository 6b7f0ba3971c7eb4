'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useState } from 'react';
import { CartesianGrid, Legend, ResponsiveContainer, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from 'recharts';
import {
  carries,
  money,
  plainMoney,
  currencySign,
  frontierOf,
  rungNames,
  pickedName,
  standingsCsv,
  stillStands,
  type RungName,
  type Standing,
} from '@/core';
import { csv, useTakeOut } from '../frame/take-out';
import { useMeasure, useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { PickButton } from './PickButton';
import { useDecide } from './use-decide';

/** Price against grams with the frontier, how often each board wins over all reasonable weightings, what would tip it, and the picks made. */
export function TradeScreen() {
  const { ranking: newest, build } = useRoom('ranking', 'build');
  // Charts of many boards are drawn when the page is free.
  const ranking = useDeferredValue(newest);
  const robustness = useDecide({ about: 'robustness' });
  const whole = ranking.ranked?.filter((r) => carries(r.climb)) ?? [];
  const first = whole[0] ?? null;
  useTakeOut(() => [
    {
      says: 'Save prices, masses and margins as CSV',
      file: csv(`${build.id}-trade-off`),
      text: () => standingsCsv(frontierOf(whole.map((r) => r.climb)), build.currency),
    },
  ]);
  const tipping = useDecide(first ? { about: 'tipping', board: first.climb.boardId } : null);
  if (!ranking.ranked)
    return (
      <Box role="status" sx={{ p: 3, color: 'text.secondary' }}>
        The boards are climbing ...
      </Box>
    );
  const standings = frontierOf(whole.map((r) => r.climb));
  const share = (id: string) => robustness?.boards.find((b) => b.boardId === id)?.byRank[0] ?? null;
  return (
    <Box
      sx={{
        p: 2,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.1fr) minmax(0, 1fr)' },
        gap: 3,
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="h1">Trade-off</Typography>
        {whole.length === 0 && (
          <p>
            No board carries this build yet, so there is nothing to weigh. The ladder says where each stops, and the
            fixes what would help.
          </p>
        )}
        {whole.length > 0 && <Frontier standings={standings} currency={build.currency} />}
        <Typography variant="h2" sx={{ mt: 2 }}>
          How far can a figure go before the pick changes?
        </Typography>
        {!tipping && first && (
          <Box role="status" sx={{ color: 'text.secondary' }}>
            Each figure of {first.climb.boardName} is being turned ...
          </Box>
        )}
        {tipping?.length === 0 && (
          <Box>No single figure of {first?.climb.boardName}, moved alone, changes the pick.</Box>
        )}
        <Box component="ul" sx={{ m: 0, pl: 2.5, fontSize: 12.5 }}>
          {tipping?.slice(0, 8).map((t) => (
            <li key={t.field + t.direction}>
              {t.says} {t.direction} {t.at} {t.unit} ({t.now} now): {t.then}.
            </li>
          ))}
        </Box>
        <Picks />
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="h2">What counts for you?</Typography>
        <Weighing />
        <Typography variant="h2" sx={{ mt: 2 }}>
          Who wins, over all weightings that agree with that?
        </Typography>
        {!robustness && (
          <Box role="status" sx={{ color: 'text.secondary' }}>
            Weightings are being tried ...
          </Box>
        )}
        {robustness && robustness.samples === 0 && (
          <Box role="alert">
            What you say rules itself out: no weighting agrees with all of it. Take one statement back.
          </Box>
        )}
        {robustness?.boards
          .filter((b) => b.byRank[0]! > 0.004)
          .sort((a, b) => b.byRank[0]! - a.byRank[0]!)
          .slice(0, 8)
          .map((b) => {
            const ranked = ranking.ranked!.find((r) => r.climb.boardId === b.boardId)!;
            return (
              <Box key={b.boardId} sx={{ borderBottom: '1px solid var(--hair)', py: 0.75 }}>
                <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
                  <strong>{b.name}</strong>
                  <Box sx={{ flex: 1 }}>wins for {Math.round(b.byRank[0]! * 100)} % of reasonable weightings</Box>
                  <PickButton ranked={ranked} firstShare={share(b.boardId)} />
                </Box>
                <Box
                  sx={{ display: 'flex', height: 14, border: '1px solid var(--ink)', mt: 0.25 }}
                  role="img"
                  aria-label={b.byRank
                    .slice(0, 4)
                    .map((s, i) => `place ${i + 1}: ${Math.round(s * 100)} %`)
                    .join(', ')}
                >
                  {b.byRank.slice(0, 4).map((s, i) => (
                    <Box
                      key={i}
                      sx={{ width: `${s * 100}%`, background: 'var(--ink)', opacity: [1, 0.55, 0.3, 0.15][i] }}
                    />
                  ))}
                </Box>
                <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
                  {b.says}. Second {Math.round(b.byRank[1]! * 100 || 0)} %, third {Math.round(b.byRank[2]! * 100 || 0)}{' '}
                  %.
                </Box>
              </Box>
            );
          })}
        {robustness && robustness.samples > 0 && (
          <Box sx={{ fontSize: 12, color: 'text.secondary', mt: 0.5 }}>
            {robustness.samples} weightings, spread evenly; shares are right to within{' '}
            {(robustness.error * 100).toFixed(1)} %. Unknown figures count at their worst. Build: {build.name}.
          </Box>
        )}
      </Box>
    </Box>
  );
}

function Frontier({ standings, currency }: { standings: Standing[]; currency: string }) {
  const sign = currencySign(currency);
  const said = useWords();
  const mass = useMeasure('g');
  const point = (s: Standing) => ({
    ...s,
    pay: s.cents / 100,
    mass: Number(mass.show(s.grams)),
    price: money(s.cents, currency),
    percent: Math.round(s.margin * 100),
  });
  const open = standings.filter((s) => s.beatenBy === null).map(point);
  const beaten = standings.filter((s) => s.beatenBy !== null).map(point);
  return (
    <>
      <Box sx={{ height: 250 }} aria-hidden>
        <ResponsiveContainer>
          <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 16, bottom: 18, left: 8 }}>
            <CartesianGrid stroke="var(--hair)" />
            <XAxis
              type="number"
              dataKey="pay"
              name="to pay"
              unit={` ${sign}`}
              domain={['auto', 'auto']}
              tick={{ fontSize: 11, fill: 'var(--faded)' }}
              label={{
                value: `to pay, ${sign}`,
                position: 'insideBottom',
                offset: -10,
                fontSize: 11,
                fill: 'var(--faded)',
              }}
            />
            <YAxis
              type="number"
              dataKey="mass"
              name={mass.unit}
              unit={` ${mass.unit}`}
              domain={['auto', 'auto']}
              tick={{ fontSize: 11, fill: 'var(--faded)' }}
            />
            <Tooltip
              cursor={false}
              content={({ payload }) =>
                payload?.[0] ? (
                  <Box sx={{ background: 'var(--ink)', color: 'var(--paper)', p: 0.75, fontSize: 12 }}>
                    {said(words(payload[0].payload as ReturnType<typeof point>))}
                  </Box>
                ) : null
              }
            />
            <Legend verticalAlign="top" height={22} wrapperStyle={{ fontSize: 12 }} />
            <Scatter
              name="beaten on nothing"
              data={open}
              fill="var(--copper)"
              shape="square"
              isAnimationActive={false}
            />
            <Scatter
              name="beaten by another"
              data={beaten}
              fill="var(--pencil)"
              shape="circle"
              isAnimationActive={false}
            />
          </ScatterChart>
        </ResponsiveContainer>
      </Box>
      <table>
        <thead>
          <tr>
            <th>Board</th>
            <th className="n">to pay {sign}</th>
            <th className="n">{mass.unit}</th>
            <th className="n">smallest margin</th>
            <th>Frontier</th>
          </tr>
        </thead>
        <tbody>
          {[...open, ...beaten].map((s) => (
            <tr key={s.boardId}>
              <td>{s.name}</td>
              <td className="n">{plainMoney(s.cents)}</td>
              <td className="n">{mass.show(s.grams)}</td>
              <td className="n">{s.percent} %</td>
              <td>{s.beatenBy === null ? 'beaten on nothing' : `beaten by ${s.beatenBy}`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function words(s: { name: string; price: string; grams: number; percent: number; beatenBy: string | null }): string {
  return `${s.name}: ${s.price}, ${Math.round(s.grams)} g, ${s.percent} % margin${s.beatenBy ? `; beaten by ${s.beatenBy}` : ''}`;
}

/** "Weight matters more than Cost": statements in pairs, each can be taken back. */
function Weighing() {
  const { build, edit } = useRoom('build', 'edit');
  const [more, setMore] = useState<RungName>('Weight');
  const [than, setThan] = useState<RungName>('Cost');
  const { statements } = build.weighing;
  const set = (next: typeof statements) =>
    edit('weighing', (b) => ({ ...b, weighing: { ...b.weighing, statements: next } }));
  const choose = (value: RungName, onChange: (r: RungName) => void, label: string) => (
    <Select value={value} onChange={(e) => onChange(e.target.value)} inputProps={{ 'aria-label': label }}>
      {rungNames.map((r) => (
        <MenuItem key={r} value={r}>
          {r}
        </MenuItem>
      ))}
    </Select>
  );
  return (
    <Box sx={{ fontSize: 12.5 }}>
      {statements.length === 0 && (
        <Box sx={{ color: 'text.secondary' }}>
          Nothing said yet: every weighting of the ten rungs counts as reasonable.
        </Box>
      )}
      {statements.map((s, i) => (
        <Box key={i} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Box sx={{ flex: 1 }}>
            {s.more} matters at least as much as {s.than}.
          </Box>
          <ForWriters>
            <Button onClick={() => set(statements.filter((_, j) => j !== i))}>Take back</Button>
          </ForWriters>
        </Box>
      ))}
      <ForWriters>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.5 }}>
          {choose(more, setMore, 'Matters more')} matters more than {choose(than, setThan, 'Matters less')}
          <Button
            variant="outlined"
            disabled={more === than || statements.some((s) => s.more === more && s.than === than)}
            onClick={() => set([...statements, { more, than }])}
          >
            Say so
          </Button>
        </Box>
      </ForWriters>
    </Box>
  );
}

/** What was picked, why, and whether it would be picked again. */
function Picks() {
  const { build, edit, ranking } = useRoom('build', 'edit', 'ranking');
  const said = useWords();
  if (build.picks.length === 0) return null;
  return (
    <section aria-label="Picks">
      <Typography variant="h2" sx={{ mt: 2 }}>
        Picks
      </Typography>
      {[...build.picks].reverse().map((p) => {
        const now = stillStands(p, ranking.ranked ?? []);
        return (
          <Box key={p.id} sx={{ borderBottom: '1px solid var(--hair)', py: 0.5, fontSize: 12.5 }}>
            <strong>{pickedName(p)}</strong>, picked on {said(p.when)} at place {p.rank}, {p.verdict}
            {p.firstShare === null ? '' : `, first for ${Math.round(p.firstShare * 100)} % of weightings`}.{' '}
            <Box component="span" sx={{ color: now.stands ? 'success.main' : 'error.main' }}>
              {said(now.sentence)}
            </Box>
            <details>
              <summary>
                {p.reasons.length} reasons and {p.open.length} open questions as they stood
              </summary>
              <ul>
                {[...p.reasons, ...p.open].map((r, i) => (
                  <li key={i}>{said(r)}</li>
                ))}
              </ul>
            </details>
            <ForWriters>
              <Button onClick={() => edit('drop pick', (b) => ({ ...b, picks: b.picks.filter((x) => x.id !== p.id) }))}>
                Remove from the list
              </Button>
            </ForWriters>
          </Box>
        );
      })}
    </section>
  );
}
