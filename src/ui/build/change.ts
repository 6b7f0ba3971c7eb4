import { partInMoneyOf, type Build, type Part, type Peripheral, type Priority } from '@/core';

/** Adds a copy of a library part under a free name, as the last of the musts' order. */
export function withPart(build: Build, peripheral: Peripheral, priority: Priority = 'must'): Build {
  const taken = new Set(build.parts.map((p) => p.id));
  let id = peripheral.id;
  for (let n = 2; taken.has(id); n++) id = `${peripheral.id}-${n}`;
  const part: Part = {
    id,
    priority,
    onUsb: peripheral.kind === 'receiver',
    owned: false,
    peripheral: structuredClone(partInMoneyOf(build, peripheral)),
  };
  return { ...build, parts: [...build.parts, part] };
}

export function withoutPart(build: Build, id: string): Build {
  return { ...build, parts: build.parts.filter((p) => p.id !== id) };
}

export function changedPart(build: Build, id: string, change: Partial<Part>): Build {
  return { ...build, parts: build.parts.map((p) => (p.id === id ? { ...p, ...change } : p)) };
}

export function movedPart(build: Build, id: string, to: number): Build {
  const from = build.parts.findIndex((p) => p.id === id);
  const target = Math.max(0, Math.min(build.parts.length - 1, to));
  if (from < 0 || from === target) return build;
  const parts = [...build.parts];
  const [part] = parts.splice(from, 1);
  parts.splice(target, 0, part!);
  return { ...build, parts };
}
