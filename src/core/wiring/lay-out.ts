import type { Part } from '../records/build';
import type { Link, Mode } from '../records/peripheral';
import { newestVersion } from '../records/words';
import { onBoardMode } from '../fix/on-board';
import { radioWords, speakTogether } from '../trade/radio';
import type { Reason } from './reason';
import { spend } from '../solver/budget';
import { feedFromParts } from './fed-by-part';
import { enforceOneUse } from './one-use';
import { outputWays } from './output-ways';
import { analogueWays, canWays, i2cWays, motorLineWays, singlePadWays, videoWays } from './pad-ways';
import { serialWays } from './serial-ways';
import { shareSides } from './shared-ports';
import { supplyWays } from './supply-ways';
import { undrawnSupply, undrawnWays } from './undrawn-pads';
import type { LaidMode, LaidNeed, LaidPart } from './laid';
import type { Way, Workshop } from './way';

/** All ways of all parts of the build on this board, workable or not, in priority order of the parts. */
export function layOut(shop: Workshop): LaidPart[] {
  const parts = [...motorsAsPart(shop), ...shop.build.parts];
  const laid: LaidPart[] = parts.map((part) => ({
    part,
    modes: part.peripheral.modes.map((mode) => layMode(shop, part, mode)),
  }));
  shareSides(shop, laid);
  feedFromParts(shop, laid);
  enforceOneUse(shop, laid);
  return laid;
}

/** Making a way is less work than a step of the search, but there may be very many. */
const waysAStep = 4;

function layMode(shop: Workshop, part: Part, mode: Mode): LaidMode {
  const needs: LaidNeed[] = mode.links.map((link) => ({
    kind: 'link',
    id: link.id,
    link,
    ways: [...linkWays(shop, link), ...undrawnWays(shop, link)],
  }));
  mode.supplies.forEach((supply, i) => {
    // What lives on USB is the part itself: the chip, not what it switches.
    const one = i === 0 ? part : { ...part, onUsb: false };
    needs.push({
      kind: 'supply',
      id: supply.id,
      supply,
      ways: [...supplyWays(shop, one, supply), ...undrawnSupply(shop, one, supply)],
    });
  });
  heardByRadio(shop, part, mode, needs);
  spend(shop.budget, needs.reduce((n, need) => n + need.ways.length, 0) / waysAStep);
  return { mode, needs };
}

/** A receiver that does not speak what the buyer's radio speaks hears nothing, wherever it is wired. Asked only where the build says what that is. */
function heardByRadio({ build }: Workshop, { peripheral }: Part, mode: Mode, needs: LaidNeed[]): void {
  const radio = build.radio;
  const first = needs.find((n) => n.kind === 'link');
  if (!radio || peripheral.kind !== 'receiver' || mode.id === onBoardMode || !first) return;
  const speaks = speakTogether(radio, peripheral.radio);
  if (speaks === 'yes') return;
  const reason: Reason = {
    code: 'speaks the radio',
    radio: radioWords(radio),
    part: peripheral.radio ? radioWords(peripheral.radio) : null,
    speaks,
  };
  first.ways = first.ways.map((w) => ({ ...w, conditions: [...w.conditions, { rung: 5, truth: speaks, reason }] }));
}

function linkWays(shop: Workshop, link: Link): Way[] {
  switch (link.kind) {
    case 'serial':
      return serialWays(shop, link);
    case 'i2c':
      return i2cWays(shop, link);
    case 'can':
      return canWays(shop);
    case 'output':
      return outputWays(shop, link);
    case 'analogue':
      return analogueWays(shop, link);
    case 'video':
      return videoWays(shop, link);
    case 'camera control':
      return singlePadWays(shop, shop.board.video?.cameraControl, 'camera control');
    case 'motor line':
      return motorLineWays(shop, link.carries);
    case 'buzzer':
      return singlePadWays(shop, shop.board.buzzerPad, 'buzzer');
  }
}

/** Separate ESCs are signalled by the board: one motor output each, before anything else. */
function motorsAsPart(shop: Workshop): Part[] {
  const { motors } = shop.build;
  if (motors.esc === 'on the board' || motors.count === 0) return [];
  return [
    {
      id: 'motors',
      priority: 'must',
      onUsb: false,
      owned: true,
      peripheral: {
        format: 'rung-peripheral',
        version: newestVersion,
        id: 'motors',
        name: motors.ownEsc?.name ?? 'Separate ESCs',
        maker: 'the build',
        kind: 'other',
        massG: { value: 0, origin: 'assumed', source: 'counted in the bare craft' },
        cents: 0,
        offers: [],
        gives: [],
        plugs: [],
        modes: [
          {
            id: 'signal',
            label: 'one motor wire each',
            links: [{ kind: 'output', id: 'motors', use: 'motor', count: motors.count }],
            supplies: [],
            cents: 0,
            grams: 0,
            effort: 0,
            lost: [],
          },
        ],
      },
    },
  ];
}
