import type { Build } from './build';

/** The build with parts of one name told apart by a number, in the order of the list: "Wren Nano #2". The same build where no name stands twice. */
export function numbered(build: Build): Build {
  const count = new Map<string, number>();
  for (const { peripheral } of build.parts) count.set(peripheral.name, (count.get(peripheral.name) ?? 0) + 1);
  if (count.size === build.parts.length) return build;
  const met = new Map<string, number>();
  return {
    ...build,
    parts: build.parts.map((part) => {
      const { name } = part.peripheral;
      if (count.get(name) === 1) return part;
      met.set(name, (met.get(name) ?? 0) + 1);
      return { ...part, peripheral: { ...part.peripheral, name: `${name} #${met.get(name)}` } };
    }),
  };
}
