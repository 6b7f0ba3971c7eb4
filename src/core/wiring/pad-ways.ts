import { isUnknown } from '../quantity/figure';
import { flag, type Truth } from '../quantity/truth';
import type { AnalogueKind } from '../records/board-lists';
import type { Board } from '../records/board';
import type { Link } from '../records/peripheral';
import { fliesOnOwnEsc } from '../circuit/esc-lines';
import { ground } from '../quantity/ground';
import { sharedPads } from '../circuit/shared-pads';
import { inputRow } from './keys';
import { portGroups } from './serial-ways';
import type { Reason } from './reason';
import { padStands } from './pad-stands';
import { bridgeTag, row, tag, way, type Condition, type Way, type Workshop } from './way';

function none(what: string): Way[] {
  return refused({ code: 'board has none', what });
}

function refused(reason: Reason): Way[] {
  return [way({ conditions: [{ rung: 4, truth: 'no', reason }] })];
}

/** One chip an address on an I2C bus (NXP UM10204: 7-bit addresses). */
export function i2cWays(shop: Workshop, { address, pullsToVolts }: Extract<Link, { kind: 'i2c' }>): Way[] {
  const buses = shop.board.buses.filter((b) => b.kind === 'i2c');
  if (buses.length === 0) return none('I2C bus on pads');
  const pulled = (bus: Board['buses'][number]) =>
    pullsToVolts === undefined ? [] : bus.pads.flatMap((pad) => padStands(shop, pad, pullsToVolts));
  if (address === undefined) return buses.map((bus) => unaddressed(shop, bus, pulled(bus)));
  const hex = `0x${address.toString(16)}`;
  return buses.map((bus) => {
    const clash = bus.onBoard.find((d) => d.address === address);
    const conditions: Condition[] = clash
      ? [{ rung: 4, truth: 'no', reason: { code: 'address taken', bus: bus.label, by: clash.what, address } }]
      : [];
    const rows = [{ id: row(shop, { id: `address:${bus.id}:${hex}`, limit: 1 }), amount: 1, rung: 4 as const }];
    return way({
      conditions: [...conditions, ...pulled(bus)],
      rows,
      tags: busTags(shop, bus.sharesPort),
      link: { kind: 'bus', bus: bus.id },
    });
  });
}

/** A chip whose address nobody says may have that of any other on its bus. */
function unaddressed(shop: Workshop, bus: Board['buses'][number], pulled: Condition[]): Way {
  const riders = shop.build.parts.filter((p) =>
    p.peripheral.modes.some((m) => m.links.some((l) => l.kind === 'i2c')),
  ).length;
  const conditions: Condition[] =
    riders > 1 || bus.onBoard.length > 0
      ? [{ rung: 4, truth: 'unknown', reason: { code: 'address unsaid', bus: bus.label } }]
      : [];
  return way({
    conditions: [...conditions, ...pulled],
    tags: busTags(shop, bus.sharesPort),
    link: { kind: 'bus', bus: bus.id },
  });
}

export function canWays(shop: Workshop): Way[] {
  const buses = shop.board.buses.filter((b) => b.kind === 'can');
  if (buses.length === 0) return none('CAN bus');
  return buses.map((bus) => way({ link: { kind: 'bus', bus: bus.id } }));
}

/** A bus on the pads of a serial port takes the port away, once, however many parts ride the bus. */
function busTags(shop: Workshop, port: string | undefined): Way['tags'] {
  if (!port) return [];
  const group = portGroups(shop).find((g) => g.ports.some((p) => p.id === port));
  return group ? [tag(shop, `shared:${port}`, 'bus')] : [];
}

/** The inputs of a kind that stand free. A stack's harness carries the signal of its ESC's current sensor to the first current input (common practice, no source). */
export function freeInputs({ build, board }: Workshop, kind: AnalogueKind): Board['analogueInputs'] {
  const harness =
    kind === 'current' && board.kind === 'stack' && board.esc !== undefined && board.currentSensor !== undefined;
  const sensed = harness && fliesOnOwnEsc(build);
  return board.analogueInputs.filter((i) => i.kind === kind).slice(sensed ? 1 : 0);
}

export function analogueWays(shop: Workshop, link: Extract<Link, { kind: 'analogue' }>): Way[] {
  const { input: kind, sendsVolts } = link;
  const inputs = freeInputs(shop, kind);
  const first = shop.board.analogueInputs.find((i) => i.kind === kind);
  if (inputs.length === 0)
    return first ? refused({ code: 'input taken by the ESC', input: first.label }) : none(`${kind} input`);
  return inputGroups(shop, kind).map(({ id, inputs: alike }) => {
    const at = alike[0]!.at;
    const { label, maxVolts } = alike[0]!;
    const stands: Truth = sendsVolts === undefined || sendsVolts <= maxVolts ? 'yes' : 'no';
    const limit = { id: inputRow(id), limit: alike.length, pool: `input:${kind}` };
    return way({
      conditions:
        stands === 'yes'
          ? []
          : [{ rung: 5, truth: stands, reason: { code: 'input stands', input: label, volts: sendsVolts!, maxVolts } }],
      tags: at ? [bridgeTag(shop, at.bridge, at.position)] : [],
      rows: [{ id: row(shop, limit), amount: 1, rung: 4 }],
      link: { kind: 'input', group: id },
    });
  });
}

/** Free inputs of a kind that no way can tell apart; one whose pad has another use stands alone. */
export function inputGroups(
  shop: Workshop,
  kind: AnalogueKind,
): { id: string; inputs: Board['analogueInputs'][number][] }[] {
  const groups = new Map<string, { id: string; inputs: Board['analogueInputs'][number][] }>();
  for (const input of freeInputs(shop, kind)) {
    const alone = sharedPads(shop.board).has(input.pad);
    const key = JSON.stringify([input.at, input.maxVolts, alone ? input.id : '']);
    const group = groups.get(key);
    if (group) group.inputs.push(input);
    else groups.set(key, { id: input.id, inputs: [input] });
  }
  return [...groups.values()];
}

export function videoWays(shop: Workshop, link: Extract<Link, { kind: 'video' }>): Way[] {
  const video = shop.board.video;
  if (!video) return none('analogue video pads');
  let pads: string[];
  if (link.role === 'camera') pads = video.cameraIns;
  else if (video.out) pads = [video.out];
  else pads = [];
  if (pads.length === 0) return none(link.role === 'camera' ? 'camera input' : 'video output');
  const id = row(shop, { id: `video:${link.role}`, limit: pads.length, pool: link.role });
  const contested = pads.filter((p) => sharedPads(shop.board).has(p));
  const free = pads.filter((p) => !contested.includes(p));
  return [...contested.map((p) => [p]), ...(free.length > 0 ? [free] : [])].map((choice) =>
    way({
      conditions: overlayConditions(shop, link),
      rows: [
        { id, amount: 1, rung: 4 },
        { id: row(shop, { id: `video:${choice[0]!}`, limit: choice.length }), amount: 1, rung: 4 },
      ],
      link: { kind: 'pad', pads: choice, what: link.role === 'camera' ? 'camera input' : 'video output' },
    }),
  );
}

/** Where the picture is to carry the board's overlay, the board wants a chip for it. */
export function overlayConditions({ board }: Workshop, link: Extract<Link, { kind: 'video' }>): Condition[] {
  if (!link.overlay) return [];
  const chip = board.video?.overlayChip ?? { unknown: true as const };
  const there = flag(chip);
  return [{ rung: 4, truth: there, reason: { code: 'overlay chip', there }, grounds: [ground('Overlay chip', chip)] }];
}

/** A pad of which a board has at most one. */
export function singlePadWays(shop: Workshop, pad: string | undefined, what: string): Way[] {
  if (!pad) return none(`${what} pad`);
  return [
    way({
      rows: [{ id: row(shop, { id: `pad:${what}`, limit: 1 }), amount: 1, rung: 4 }],
      link: { kind: 'pad', pads: [pad], what },
    }),
  ];
}

/** What comes back over the motor wires needs a digital motor protocol; current also its jumper in the right position. */
export function motorLineWays(shop: Workshop, carries: 'revolutions' | 'current'): Way[] {
  const line = shop.board.motorLine;
  const known = line && !isUnknown(line) ? line.value : null;
  const able = carries === 'revolutions' ? known === 'digital both ways' : known !== 'analogue';
  let truth: Truth = 'unknown';
  if (known !== null) truth = able ? 'yes' : 'no';
  const digital: Condition = { rung: 5, truth, reason: { code: 'motor wires', carry: carries, able: truth } };
  if (carries === 'revolutions')
    return [way({ conditions: [digital], link: { kind: 'pad', pads: [], what: 'motor wires' } })];
  const current = shop.board.digitalCurrent;
  const there = current ? flag(current.there) : 'unknown';
  const at = current?.at;
  return [
    way({
      conditions: [digital, { rung: 5, truth: there, reason: { code: 'ESC reports current', reports: there } }],
      tags: at ? [bridgeTag(shop, at.bridge, at.position)] : [],
      link: { kind: 'pad', pads: [], what: 'motor wires' },
    }),
  ];
}
