import type { NumberFigure } from '../quantity/figure';
import type { Part } from '../records/build';
import type { Supply } from '../records/peripheral';
import type { PeripheralKind } from '../trade/peripheral-kind';
import { ownPart } from './own-part';
import { crafts, type StartingKind } from './starting-craft';

/** What most builds carry, as one asks a newcomer for it. */
export const startingParts = [
  'receiver',
  'analogue video',
  'digital video',
  'positioning',
  'servos',
  'air speed',
  'lights',
  'buzzer',
] as const;
export type StartingPart = (typeof startingParts)[number];

export const startingPartWords: Record<StartingPart, string> = {
  receiver: 'a radio receiver',
  'analogue video': 'an analogue camera with its video transmitter',
  'digital video': 'digital video, camera and transmitter in one',
  positioning: 'positioning by satellite (GPS)',
  servos: 'two servos',
  'air speed': 'an air speed sensor',
  lights: 'lights',
  buzzer: 'a buzzer to find it by',
};

/** What a newcomer is asked about for a craft. */
export function startingPartsFor(kind: StartingKind): readonly StartingPart[] {
  return startingParts.filter((p) => kind === 'wing' || (p !== 'servos' && p !== 'air speed'));
}

const source = 'usual for such a part (common practice, no source): put your own in its place';
const usual = (value: number): NumberFigure => ({ value, origin: 'assumed', source });

interface Usual {
  name: string;
  kind: PeripheralKind;
  grams: number;
  euros: number;
  supply: Pick<Supply, 'atVolts' | 'draw'> & Record<'min' | 'max' | 'typical' | 'peak', number>;
  lights?: number;
}

const atFive = (typical: number, peak: number): Usual['supply'] => ({
  atVolts: 5,
  draw: 'constant current',
  min: 4.5,
  max: 5.5,
  typical,
  peak,
});
const fromThePack = (typical: number, peak: number): Usual['supply'] => ({
  atVolts: 12,
  draw: 'constant power',
  min: 7,
  max: 26,
  typical,
  peak,
});
/** Up to here a craft flies with parts made for 5 V. */
const smallCells = 2;

/** They come with an aerial of their own. */
const radios: readonly PeripheralKind[] = ['receiver', 'video transmitter', 'digital video'];

/** The usual figures of what is meant: common practice of the trade, no source. */
function meant(part: StartingPart, small: boolean): Usual[] {
  const of: Record<StartingPart, Usual[]> = {
    receiver: [{ name: 'Receiver', kind: 'receiver', grams: 2, euros: 20, supply: atFive(0.1, 0.2) }],
    'analogue video': [
      {
        name: 'Analogue camera',
        kind: 'camera',
        grams: small ? 2 : 6,
        euros: 25,
        supply: { ...atFive(0.1, 0.2), max: 20 },
      },
      {
        name: 'Video transmitter',
        kind: 'video transmitter',
        grams: small ? 3 : 8,
        euros: 30,
        supply: small ? atFive(0.4, 0.5) : fromThePack(0.4, 0.6),
      },
    ],
    'digital video': [
      {
        name: 'Digital video',
        kind: 'digital video',
        grams: small ? 8 : 30,
        euros: 140,
        supply: small ? atFive(0.8, 1) : fromThePack(0.7, 1.1),
      },
    ],
    positioning: [{ name: 'Positioning', kind: 'positioning', grams: 8, euros: 25, supply: atFive(0.05, 0.1) }],
    servos: ['Servo left', 'Servo right'].map((name) => ({
      name,
      kind: 'servo' as const,
      grams: 9,
      euros: 9,
      supply: { ...atFive(0.15, 0.8), max: 6 },
    })),
    'air speed': [{ name: 'Air speed', kind: 'air speed', grams: 6, euros: 30, supply: atFive(0.01, 0.02) }],
    lights: [{ name: 'Lights', kind: 'light', grams: 4, euros: 6, supply: atFive(0.2, 0.5), lights: 8 }],
    buzzer: [{ name: 'Buzzer', kind: 'buzzer', grams: 2, euros: 3, supply: atFive(0.02, 0.04) }],
  };
  return of[part];
}

/** Parts with the figures that are usual for them, each said to be assumed. `owned`: at home already, so that the basket leaves it out. */
export function startingPartsOf(kind: StartingKind, asked: readonly { part: StartingPart; owned: boolean }[]): Part[] {
  const small = crafts[kind].pack.cells <= smallCells;
  return startingParts.flatMap((part) => {
    const said = asked.find((a) => a.part === part);
    return said ? meant(part, small).map((m) => partOf(m, said.owned)) : [];
  });
}

function partOf({ name, kind, grams, euros, supply, lights }: Usual, owned: boolean): Part {
  const peripheral = ownPart(name, kind, euros * 100)!;
  const [mode] = peripheral.modes;
  const { atVolts, draw, min, max, typical, peak } = supply;
  return {
    id: peripheral.id,
    priority: 'must',
    onUsb: kind === 'receiver',
    owned,
    peripheral: {
      ...peripheral,
      summary: 'One as is usual for such a craft: its figures are assumed until you put your own in their place.',
      massG: usual(grams),
      ...(radios.includes(kind) ? { aerial: { value: true, origin: 'assumed', source } } : {}),
      ...(lights === undefined ? {} : { lights }),
      modes: [
        {
          ...mode!,
          label: 'as is usual',
          supplies: [
            {
              id: 'supply',
              minVolts: usual(min),
              maxVolts: usual(max),
              typicalAmps: usual(typical),
              peakAmps: usual(peak),
              atVolts,
              draw,
            },
          ],
        },
      ],
    },
  };
}
