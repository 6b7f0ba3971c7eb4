import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { readData } from '../records/file';
import { peripheralKinds } from '../trade/peripheral-kind';
import { makeBoard, makeBuild, says } from '../tests/make';
import { padsInPlenty } from '../decide/pads-in-plenty';
import { choiceOf, linkChoices, withLink } from './link-choices';
import { asKind, forLibrary, ownPart } from './own-part';

const part = (peripheral: NonNullable<ReturnType<typeof ownPart>>) => ({
  id: 'p',
  priority: 'must' as const,
  onUsb: false,
  owned: false,
  peripheral,
});

describe('a part that is in no library', () => {
  test.each(peripheralKinds)(
    '%s: a sound part, of which nothing is taken for granted but how its kind is wired',
    (kind) => {
      const own = ownPart('  Finch 3 ', kind, 990)!;
      expect(readData(own, 'rung-peripheral').ok).toBe(true);
      expect(own.name).toBe('Finch 3');
      const climb = evaluate(
        makeBuild({}, [part(own)]),
        padsInPlenty(
          makeBoard({
            allPads: { unknown: true },
            claimedPorts: { unknown: true },
            motorLine: { value: 'digital both ways', origin: 'manual' },
          }),
        ),
      );
      expect(climb.verdict).toBe('cannot say yet');
    },
  );
  test('once its figures are said a board may fit', () => {
    const own = ownPart('Finch', 'positioning', 990)!;
    const said = {
      ...own,
      massG: says(9),
      modes: [
        {
          ...own.modes[0]!,
          supplies: [
            {
              ...own.modes[0]!.supplies[0]!,
              minVolts: says(4.5),
              maxVolts: says(5.5),
              typicalAmps: says(0.05),
              peakAmps: says(0.1),
            },
          ],
        },
      ],
    };
    const rails = [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } },
      {
        id: 'five',
        label: '5 V',
        pads: ['vbat'],
        source: {
          kind: 'regulator' as const,
          type: 'buck' as const,
          outVolts: says(5),
          ratedAmps: says(2),
          dropOutVolts: says(1),
          input: 'pack',
        },
      },
    ];
    expect(
      evaluate(
        makeBuild({}, [part(said)]),
        padsInPlenty(makeBoard({ allPads: { unknown: true }, claimedPorts: { unknown: true }, rails })),
      ).verdict,
    ).toBe('fits');
  });
  test('an I2C address that nobody says: alone on its bus it does no harm, beside another chip nobody can tell (NXP UM10204: one chip an address)', () => {
    const compass = (id: string, address?: number) => ({
      ...part(ownPart(id, 'compass', 990)!),
      id,
      peripheral: {
        ...ownPart(id, 'compass', 990)!,
        massG: says(2),
        modes: [
          {
            ...ownPart(id, 'compass', 990)!.modes[0]!,
            supplies: [],
            links: [{ kind: 'i2c' as const, id: 'wire1', ...(address ? { address } : {}) }],
          },
        ],
      },
    });
    const bus = (onBoard: { address: number; what: string }[] = []) =>
      makeBoard({
        pads: ['vbat', 'sda', 'scl'].map((id) => ({ id, label: id })),
        buses: [{ id: 'i2c', label: 'I2C', kind: 'i2c', pads: ['sda', 'scl'], onBoard }],
      });
    const verdict = (board: ReturnType<typeof makeBoard>, ...parts: ReturnType<typeof compass>[]) =>
      evaluate(makeBuild({}, parts), board).verdict;
    expect(verdict(bus(), compass('a'))).toBe('fits');
    expect(verdict(bus(), compass('a'), compass('b'))).toBe('cannot say yet');
    expect(verdict(bus(), compass('a'), compass('b', 0x1e))).toBe('cannot say yet');
    expect(verdict(bus([{ address: 0x76, what: 'the barometer' }]), compass('a'))).toBe('cannot say yet');
    expect(verdict(bus(), compass('a', 0x0d), compass('b', 0x1e))).toBe('fits');
  });
  test("a copy for the library has an id of the buyer's own, whatever part it was made from", () => {
    const theirs = { ...ownPart('Finch', 'camera', 990)!, id: 'tallow-cam', maker: 'Pellmere' };
    expect(forLibrary(makeBuild(), theirs)).toEqual({ ...theirs, id: 'own-finch' });
  });
  test('a name is wanted', () => expect(ownPart('  ', 'other', 990)).toBeNull());
});

describe('what a part can ask of a board', () => {
  test.each(linkChoices.map((c) => [c.id, c] as const))('%s: chosen, it is itself, under an id of its own', (id) => {
    const links = withLink(withLink([], id), id);
    expect(links.map(choiceOf)).toEqual([id, id]);
    expect(new Set(links.map((l) => l.id)).size).toBe(2);
    const own = ownPart('x', 'other', 990)!;
    expect(readData({ ...own, modes: [{ ...own.modes[0]!, links }] }, 'rung-peripheral').ok).toBe(true);
  });
  test('an unknown choice adds nothing', () => expect(withLink([], 'telepathy')).toEqual([]));
});

test('of another kind it is wired as most of that kind are, and keeps its name, its price and what feeds it', () => {
  const part = ownPart('Thing', 'other', null)!;
  const fed = {
    ...part,
    modes: [
      {
        ...part.modes[0]!,
        supplies: [{ ...part.modes[0]!.supplies[0]!, minVolts: { value: 4, origin: 'manual' as const } }],
      },
    ],
  };
  const made = asKind(fed, 'receiver');
  expect(made).toMatchObject({ name: 'Thing', kind: 'receiver', cents: null });
  expect(made.modes[0]!.links).toEqual(ownPart('Thing', 'receiver', null)!.modes[0]!.links);
  expect(made.modes[0]!.supplies).toEqual(fed.modes[0]!.supplies);
  expect(asKind(made, 'aerial').modes[0]!.supplies).toEqual([]);
});
