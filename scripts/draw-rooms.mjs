import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { cruise } from 'dependency-cruiser';
import ELK from 'elkjs';
import { root, stop } from './run.mjs';

/** Draws docs/rooms.svg from the imports of the code: one box a room, one arrow a room used, as thick as it is used often. `--check` only says whether the picture is current. */
const picture = path.join(root, 'docs', 'rooms.svg');
const place = (file) => {
  const [, core] = /^src\/core\/([a-z]+)\//.exec(file) ?? [];
  if (core) return core === 'tests' || file.endsWith('.test.ts') ? null : `core/${core}`;
  if (file === 'src/core/index.ts') return 'core/index';
  const [, room] = /^src\/([a-z]+)\//.exec(file) ?? [];
  if (file.endsWith('.test.ts')) return null;
  return room ?? (file.startsWith('cli/') ? 'cli' : null);
};

const { output } = await cruise(
  ['src', 'cli'],
  { doNotFollow: { path: 'node_modules' }, tsPreCompilationDeps: true },
  { alias: { '@': path.join(root, 'src') } },
  { tsConfig: undefined },
);
const uses = new Map();
const files = new Map();
for (const module of output.modules) {
  const from = place(module.source);
  if (!from) continue;
  files.set(from, (files.get(from) ?? 0) + 1);
  for (const { resolved } of module.dependencies) {
    const to = place(resolved);
    if (!to || to === from) continue;
    uses.set(`${from} ${to}`, (uses.get(`${from} ${to}`) ?? 0) + 1);
  }
}

// The public face uses everything and would hide the rest.
const shown = [...uses].map(([pair, count]) => [...pair.split(' '), count]).filter(([from]) => from !== 'core/index');
const graph = await new ELK().layout({
  id: 'rooms',
  layoutOptions: {
    'elk.algorithm': 'layered',
    'elk.direction': 'DOWN',
    'elk.layered.spacing.nodeNodeBetweenLayers': '46',
    'elk.spacing.nodeNode': '26',
    'elk.edgeRouting': 'POLYLINE',
  },
  children: [...files.keys()].sort().map((id) => ({ id, width: 112, height: 38 })),
  edges: shown.map(([from, to, count], i) => ({ id: `e${i}`, sources: [from], targets: [to], count })),
});
const round = (n) => Math.round(n * 10) / 10;
const lines = graph.edges.map((e) => {
  const { startPoint, bendPoints = [], endPoint } = e.sections[0];
  const points = [startPoint, ...bendPoints, endPoint].map((p) => `${round(p.x)},${round(p.y)}`).join(' ');
  return `<polyline points="${points}" fill="none" stroke="#7a6a58" stroke-width="${round(0.5 + Math.log2(e.count) / 2.5)}" marker-end="url(#a)"><title>${e.sources[0]} uses ${e.targets[0]}: ${e.count} imports</title></polyline>`;
});
const boxes = graph.children.map(
  (n) =>
    `<g><rect x="${round(n.x)}" y="${round(n.y)}" width="${n.width}" height="${n.height}" fill="${n.id.startsWith('core/') ? '#f5efe2' : '#e6eef0'}" stroke="#1f2a3a"/><text x="${round(n.x + n.width / 2)}" y="${round(n.y + 17)}" text-anchor="middle" font-weight="600">${n.id.replace('core/', '')}</text><text x="${round(n.x + n.width / 2)}" y="${round(n.y + 31)}" text-anchor="middle" font-size="10">${files.get(n.id)} file${files.get(n.id) === 1 ? '' : 's'}</text></g>`,
);
const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-10 -10 ${round(graph.width + 20)} ${round(graph.height + 20)}" font-family="sans-serif" font-size="13"><title>The rooms of Rung and what they use</title><defs><marker id="a" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" markerUnits="userSpaceOnUse" orient="auto"><path d="M0 0 L8 4 L0 8 z" fill="#7a6a58"/></marker></defs><rect x="-10" y="-10" width="100%" height="100%" fill="#fffdf8"/>\n${lines.join('\n')}\n${boxes.join('\n')}\n</svg>\n`;
// How many files and imports there are changes daily; which rooms there are and what they use is what must be true.
const outline = (text) =>
  [...text.matchAll(/<title>(\S+) uses (\S+):/g)]
    .map((m) => `${m[1]} ${m[2]}`)
    .sort()
    .join('\n');
if (!process.argv.includes('--check')) writeFileSync(picture, svg);
else if (outline(readFileSync(picture, 'utf8')) !== outline(svg))
  stop('docs/rooms.svg is not what the code is: run "node scripts/draw-rooms.mjs".');
