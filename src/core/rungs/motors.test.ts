import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, says, claims, unknown } from '../tests/make';

/**
 * Rung 3 over every mixture of known and unknown ratings, against a table worked out here: what nobody says is tried as nothing and as plenty. Where both give the
 * same answer it is that answer; where they differ nobody can say. (That unknown is never yes: the rules, section 2. Ratings: common practice, no source.)
 */
type Known = number | 'unsaid';
const unsaid = 'unsaid' as const;
const figure = (n: Known) => (n === unsaid ? unknown : claims(n));

interface Esc {
  continuous: Known;
  burst: Known;
  seconds: Known;
  pads: Known | null;
}

/** May it fly? `burst` off: only what a channel carries without end counts. */
function flies(
  esc: { [K in keyof Esc]: number | null },
  cruise: number,
  peak: number,
  seconds: number,
  share: number,
  burstCounts: boolean,
): boolean {
  const cruises = esc.continuous! * share >= cruise;
  const throttles = esc.continuous! >= peak || (burstCounts && esc.burst! >= peak && esc.seconds! >= seconds);
  const pads = esc.pads === null || esc.pads >= peak;
  return cruises && throttles && pads;
}

/** Every way to fill in what nobody says, with nothing or with plenty. */
function fillings(esc: Esc): { [K in keyof Esc]: number | null }[] {
  return (Object.keys(esc) as (keyof Esc)[]).reduce<Record<string, number | null>[]>(
    (done, key) =>
      done.flatMap((d) =>
        (esc[key] === unsaid ? [0, 1e6] : [esc[key] as number | null]).map((v) => ({ ...d, [key]: v })),
      ),
    [{}],
  ) as never;
}

describe('amps of a channel', () => {
  const cases: Esc[] = [unsaid, 20, 30, 45].flatMap((continuous) =>
    ([unsaid, 35, 55] as Known[]).flatMap((burst) =>
      ([unsaid, 4, 10] as Known[]).flatMap((seconds) =>
        ([null, unsaid, 32] as (Known | null)[]).map((pads) => ({
          continuous: continuous as Known,
          burst,
          seconds,
          pads,
        })),
      ),
    ),
  );
  test.each([
    ['for the stated seconds', 'usual', 0.8],
    ['ignored', 'usual', 0.8],
    ['for the stated seconds', 'cautious', 0.7],
    ['for the stated seconds', 'as printed', 1],
  ] as const)('burst %s, ratings %s', (burst, ratedAmps, share) => {
    for (const esc of cases) {
      // A burst below the continuous rating cannot be true, and is not believed (sanity.test.ts).
      if (esc.continuous !== unsaid && esc.burst !== unsaid && esc.burst < esc.continuous) continue;
      const board = makeBoard({
        esc: {
          channels: says(4),
          continuousAmps: figure(esc.continuous),
          burstAmps: figure(esc.burst),
          burstSeconds: figure(esc.seconds),
          ...(esc.pads === null ? {} : { padAmps: figure(esc.pads) }),
        },
      });
      for (const [cruise, peak, seconds] of [
        [6, 19, 5],
        [15, 30, 5],
        [15, 34, 3],
        [22, 40, 5],
        [34, 50, 12],
      ] as const) {
        const answers = new Set(fillings(esc).map((f) => flies(f, cruise, peak, seconds, share, burst !== 'ignored')));
        let expected: 'unknown' | 'breaks' | 'flies';
        if (answers.size > 1) expected = 'unknown';
        else if (answers.has(true)) expected = 'flies';
        else expected = 'breaks';
        const { state } = evaluate(
          makeBuild({
            motors: { count: 4, cruiseAmps: cruise, peakAmps: peak, peakSeconds: seconds, esc: 'on the board' },
            policies: { burst, ratedAmps },
          }),
          board,
        ).rungs[2]!;
        expect
          .soft(
            state === 'holds' || state === 'strained' ? 'flies' : state,
            `${JSON.stringify(esc)}, cruise ${cruise}, peak ${peak} for ${seconds} s`,
          )
          .toBe(expected);
      }
    }
  });
});

describe('channels and outputs', () => {
  const motors = (count: number, esc: 'on the board' | 'separate') =>
    makeBuild({ motors: { count, cruiseAmps: 6, peakAmps: 18, peakSeconds: 5, esc } });
  const outputs = (n: number) =>
    Array.from({ length: n }, (_, i) => ({
      id: `m${i}`,
      label: `M${i}`,
      pad: `m${i}`,
      timer: 'a',
      can: ['motor' as const],
    }));
  test('a channel each on the board, or a motor output each for separate ESCs', () => {
    for (let count = 1; count <= 8; count++) {
      for (let there = 0; there <= 8; there++) {
        const board = makeBoard({
          esc: { channels: says(there), continuousAmps: says(40), burstAmps: says(50), burstSeconds: says(10) },
          outputs: outputs(there),
          pads: [{ id: 'vbat', label: 'VBAT' }, ...outputs(there).map((o) => ({ id: o.pad, label: o.label }))],
        });
        for (const esc of ['on the board', 'separate'] as const)
          expect
            .soft(
              evaluate(motors(count, esc), board).rungs[2]!.state === 'breaks',
              `${count} motors, ${there} there, ${esc}`,
            )
            .toBe(there < count);
      }
    }
  });
  test('no motors ask for nothing', () =>
    expect(
      evaluate(
        makeBuild({ motors: { count: 0, cruiseAmps: 0, peakAmps: 0, peakSeconds: 0, esc: 'on the board' } }),
        makeBoard({ esc: undefined }),
      ).rungs[2]!.state,
    ).toBe('holds'));
});
