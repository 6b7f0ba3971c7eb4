import type { Climb } from '../evaluate/climb';
import { adviceWords } from './finding/advice-words';
import { sentenceOf } from './finding/sentence-of';

/** What was found of a board, rung by rung, as text that can be sent: the verdict first, then every finding with its fix. */
export function climbMarkdown(
  build: { name: string },
  { boardName, maker, revision, verdict, rungs, members }: Climb,
): string {
  const of = members ? 'a set' : `${maker}, revision ${revision}`;
  return [
    `# ${boardName} (${of}) for ${build.name}: ${verdict}`,
    ...rungs.flatMap((r) => [
      '',
      `## ${r.rung} ${r.name}: ${r.state}`,
      '',
      ...r.findings.map((f) => `- ${f.state}: ${sentenceOf(f)}${f.fix ? ` Fix: ${adviceWords(f.fix)}` : ''}`),
    ]),
    '',
  ].join('\n');
}
