import { dice } from './random-build';

/** What hostile or careless hands put where something else stood. */
const odd: readonly unknown[] = [
  0,
  -1,
  1e-9,
  0.1,
  1e9,
  Number.MAX_SAFE_INTEGER,
  '',
  ' ',
  '__proto__',
  'constructor',
  'toString',
  '<img src=x onerror=alert(1)>',
  "'); drop table boards; --",
  '\u0000',
  '\u202eevil',
  'x'.repeat(10_000),
  null,
  true,
  false,
  [],
  {},
  { unknown: true },
  { value: 1e9, origin: 'claim' },
  { low: 0, high: 1e9, origin: 'measured' },
  { low: 5, high: 1, origin: 'manual' },
];

/** A copy of a JSON value with some places changed: values swapped for odd ones or for others of the same file, entries dropped, doubled or exchanged. Repeatable by seed. */
export function tampered<T>(value: T, seed: number, changes: number): unknown {
  const roll = dice(seed);
  const copy = JSON.parse(JSON.stringify(value)) as unknown;
  const pick = <X>(list: readonly X[]): X => list[Math.floor(roll() * list.length)]!;
  for (let i = 0; i < changes; i++) {
    const places: { holder: Record<string, unknown> | unknown[]; key: string }[] = [];
    const walk = (at: unknown): void => {
      if (typeof at !== 'object' || at === null) return;
      for (const key of Object.keys(at)) {
        places.push({ holder: at as Record<string, unknown>, key });
        walk((at as Record<string, unknown>)[key]);
      }
    };
    walk(copy);
    if (places.length === 0) return copy;
    const { holder, key } = pick(places);
    const set = (to: unknown) =>
      Object.defineProperty(holder, key, { value: to, writable: true, enumerable: true, configurable: true });
    const other = pick(places);
    const action = roll();
    if (action < 0.35) set(pick(odd));
    else if (action < 0.6)
      set(JSON.parse(JSON.stringify((other.holder as Record<string, unknown>)[other.key] ?? null)));
    else if (action < 0.8) {
      if (Array.isArray(holder)) holder.splice(Number(key), 1);
      else delete holder[key];
    } else if (Array.isArray(holder))
      holder.splice(Number(key), 0, JSON.parse(JSON.stringify(holder[Number(key)] ?? null)));
    else set(typeof holder[key] === 'number' ? (holder[key] as number) * pick([0, -1, 0.001, 10, 1e6]) : pick(odd));
  }
  return copy;
}
