import Button from '@mui/material/Button';
import { figureWords, unknownPattern, type Board } from '@/core';
import { CircuitPart, CircuitRow } from './CircuitRow';

type Pattern = Board['mounting']['patterns'][number];

/** How many hole patterns the board has. The figures of the first stand among the others below. */
export function BoardHoles({ board, onChange }: { board: Board; onChange: (b: Board) => void }) {
  const { patterns } = board.mounting;
  const put = (next: Pattern[]) => onChange({ ...board, mounting: { ...board.mounting, patterns: next } });
  return (
    <CircuitPart
      title="Holes"
      action={
        patterns.length < 6 && (
          <Button onClick={() => put([unknownPattern, ...patterns])}>
            {patterns.length === 0 ? 'It has holes' : 'Another pattern'}
          </Button>
        )
      }
    >
      {patterns.length === 0 && 'No holes: it is taped down.'}
      {patterns.map((p, i) => (
        <CircuitRow key={i} name={`Hole pattern ${i + 1}`}>
          <span>{wordsOf(p)}</span>
          {i > 0 && (
            <Button onClick={() => put([p, ...patterns.filter((_, n) => n !== i)])}>Say its figures first</Button>
          )}
          <Button aria-label={`Remove hole pattern ${i + 1}`} onClick={() => put(patterns.filter((_, n) => n !== i))}>
            Remove
          </Button>
        </CircuitRow>
      ))}
    </CircuitPart>
  );
}

function wordsOf({ alongMm, acrossMm, screw }: Pattern): string {
  const size = `${figureWords(alongMm)}${acrossMm ? ` x ${figureWords(acrossMm)}` : ''} mm`;
  return `${size}, screws ${figureWords(screw)}`;
}
