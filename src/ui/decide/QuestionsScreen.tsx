'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useForm } from 'react-hook-form';
import {
  carries,
  outcomeWords,
  unitsFor,
  withBuildFigure,
  withTyped,
  type BuildQuestion,
  type Question,
  type Ranked,
} from '@/core';
import { NumberIn, SelectIn, TextIn } from '../form/in-form';
import { markdown, useTakeOut } from '../frame/take-out';
import { CopyButton } from '../frame/CopyButton';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useShelf } from '../room/use-shelf';
import { UndecidedList } from './UndecidedList';
import { useDecide } from './use-decide';
import { today } from '../room/today';

const ease = { 1: 'easy: read or weigh it', 2: 'ask the seller', 3: 'wants a bench' } as const;

/** The unknown figures that could still change the pick, most telling first, each with the sentence to send; answered in place. */
export function QuestionsScreen() {
  const questions = useDecide({ about: 'questions' });
  const { ranking } = useRoom('ranking');
  const first = ranking.ranked?.[0];
  const { build } = useRoom('build');
  useTakeOut(() => {
    const lines = [
      ...(questions?.build.map((q) => `- ${build.name}: ${q.says}. ${q.measure}`) ?? []),
      ...(questions?.boards.map((q) => `- ${q.boardName}: ${q.ask}`) ?? []),
    ].join('\n');
    return [
      { says: 'Copy all questions', text: () => lines },
      { says: 'Save all questions as Markdown', file: markdown(`${build.id}-questions`), text: () => `${lines}\n` },
    ];
  });
  const asked = questions ? questions.build.length + questions.boards.length : null;
  return (
    <Box
      sx={{
        p: 2,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.7fr) minmax(0, 1fr)' },
        gap: 4,
      }}
    >
      <Box>
        <Typography variant="h1">Questions</Typography>
        {!questions && (
          <Box role="status" sx={{ color: 'text.secondary' }}>
            Every unknown is being tried at all it could be ...
          </Box>
        )}
        {asked === 0 && (
          <Box sx={{ mt: 1 }}>
            {first && carries(first.climb) ? (
              <>
                <strong>You know enough.</strong> No figure that is unknown or in doubt, whatever it turns out to be,
                changes the pick: {first.climb.boardName}, {outcomeWords(first.climb)}.
              </>
            ) : (
              whyNothingIsAsked(first)
            )}
          </Box>
        )}
        {asked !== null && asked > 0 && (
          <Box sx={{ color: 'text.secondary', mb: 1 }}>
            {asked === 1
              ? 'One figure that is unknown or cannot be true'
              : `${asked} figures that are unknown or cannot be true`}{' '}
            could still {first && carries(first.climb) ? 'change' : 'decide'} the pick. All others do not matter for
            this build.
          </Box>
        )}
        {questions?.build.map((q) => (
          <OfBuild key={q.path.join()} question={q} />
        ))}
        {questions?.boards.map((q) => (
          <One key={`${q.boardId} ${q.field}`} question={q} />
        ))}
      </Box>
      {ranking.ranked && (
        <UndecidedList ranked={ranking.ranked} asked={questions && new Set(questions.boards.map((q) => q.boardId))} />
      )}
    </Box>
  );
}

/** Why there is nothing to ask although no board carries the build. */
function whyNothingIsAsked(first: Ranked | undefined): string {
  if (!first) return 'There is no board to ask about.';
  const { boardName, verdict } = first.climb;
  return verdict === 'cannot say yet'
    ? `Whether ${boardName} carries the build is open, and what it hangs on stands under its name: no answer about a single figure settles it. Where that is a part that nobody has listed, add it at Build.`
    : `No figure that is unknown or in doubt makes a board carry the build, whatever it turns out to be. Nearest: ${boardName}, ${outcomeWords(first.climb)}.`;
}

const yesOrNo = ['yes', 'no'] as const;

/** A figure of the build itself: only the buyer can say it. */
function OfBuild({ question: q }: { question: BuildQuestion }) {
  const { build, edit } = useRoom('build', 'edit');
  const { control, handleSubmit } = useForm({
    defaultValues: { value: null as number | null, word: 'yes' as (typeof yesOrNo)[number] },
  });
  const isNumber = q.answer === 'number';
  const answer = handleSubmit(({ value, word }) =>
    edit('answer', (b) => withBuildFigure(b, q.path, isNumber ? value! : word === 'yes', q.origin, today())),
  );
  return (
    <Box sx={{ borderTop: '1px solid var(--hair)', py: 1 }}>
      <strong>
        {build.name}: {q.says}
      </strong>
      <Box sx={{ fontSize: 12.5 }}>Picked then: {q.wouldPick}.</Box>
      <Box sx={{ fontSize: 12.5 }}>{q.measure}</Box>
      <ForWriters>
        <Box
          component="form"
          noValidate
          onSubmit={answer}
          sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', mt: 0.5 }}
        >
          {isNumber ? (
            <NumberIn
              control={control}
              name="value"
              label={`Answer, ${q.unit}`}
              wanted="A number is wanted"
              width={120}
            />
          ) : (
            <SelectIn control={control} name="word" label="Answer" words={yesOrNo} sx={{ mt: 2 }} />
          )}
          <Button type="submit" variant="outlined" sx={{ mt: 2 }}>
            Answer
          </Button>
        </Box>
      </ForWriters>
    </Box>
  );
}

const origins = ['manual', 'report', 'print', 'tested', 'measured', 'claim'] as const;

function One({ question: q }: { question: Question }) {
  const { shelf, putBoard } = useShelf();
  const { control, handleSubmit, setError } = useForm({
    defaultValues: { value: '', origin: 'manual' as (typeof origins)[number] },
  });
  const { build } = useRoom('build');
  const board = shelf?.boards.find((b) => b.id === q.boardId);
  const inUnits = q.unit ? ` in ${[q.unit, ...unitsFor(q.unit)].join(', ')}` : '';
  const answer = handleSubmit(async ({ value, origin }) => {
    if (!board) return;
    const made = withTyped(board, q.field, value, {
      origin,
      seen: today(),
      source: 'answer to a question',
      who: `${origin}, answered`,
      currency: build.currency,
    });
    const fault = made
      ? await putBoard(made)
      : `That is not a value of this figure. A number${inUnits}, a range such as 7..9, yes or no, or the word as printed.`;
    if (fault) setError('value', { message: fault }, { shouldFocus: true });
  });
  return (
    <Box sx={{ borderTop: '1px solid var(--hair)', py: 1 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        <strong>
          {q.boardName}: {q.says}
        </strong>
        <Box sx={{ flex: 1, color: 'text.secondary', fontSize: 12 }}>
          changes the pick for {Math.round(q.changes * 100)} % of what it could be; {ease[q.ease]}
        </Box>
      </Box>
      <Box sx={{ fontSize: 12.5 }}>Picked then: {q.wouldPick}.</Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mt: 0.5, flexWrap: 'wrap' }}>
        <Box component="q" sx={{ fontSize: 12.5, flex: 1, minWidth: 260 }}>
          {q.ask}
        </Box>
        <CopyButton text={() => q.ask} />
      </Box>
      {q.measure && <Box sx={{ fontSize: 12.5 }}>Or find out: {q.measure}</Box>}
      <ForWriters>
        <Box
          component="form"
          noValidate
          onSubmit={answer}
          sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', mt: 0.5 }}
        >
          <TextIn
            bare
            control={control}
            name="value"
            label={`Answer: ${q.boardName}, ${q.says}`}
            placeholder={`answer${q.unit ? `, ${q.unit}` : ''}`}
            wanted="An answer is wanted"
            sx={{ width: 220 }}
          />
          <SelectIn control={control} name="origin" label="Whose word" words={origins} />
          <Button type="submit" variant="outlined">
            Answer
          </Button>
        </Box>
      </ForWriters>
    </Box>
  );
}
