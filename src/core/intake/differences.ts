import type { Board } from '../records/board';
import { figureWords } from '../quantity/figure';
import { boardFigures } from '../figures/board-figures';
import { sharedLabel } from '../records/shared-limit';

export interface Difference {
  field: string;
  says: string;
  before: string;
  after: string;
}

/** What two boards, or two revisions of one, say differently. */
export function differencesOf(a: Board, b: Board): Difference[] {
  const found: Difference[] = [];
  const say = (field: string, says: string, before: string, after: string) => {
    if (before !== after) found.push({ field, says, before, after });
  };
  for (const { field, says, unit, get } of boardFigures)
    say(field, says, figureWords(get(a), unit), figureWords(get(b), unit));
  say('massIncludes', 'What the mass includes', a.massIncludes ?? 'not said', b.massIncludes ?? 'not said');
  const ports = (x: Board) =>
    x.ports
      .map((p) =>
        `${p.label} ${p.rx.length > 0 ? 'hears' : ''}${p.tx.length > 0 ? ' talks' : ''}${p.taken ? ' taken' : ''}`.trim(),
      )
      .join('; ') || 'none';
  say('ports', 'Serial ports', ports(a), ports(b));
  const rails = (x: Board) =>
    x.rails
      .filter((r) => r.source.kind === 'regulator')
      .map((r) => `${r.label} ${r.source.kind === 'regulator' ? figureWords(r.source.ratedAmps, 'A') : ''}`)
      .join('; ') || 'none';
  say('rails', 'Regulators', rails(a), rails(b));
  const shared = (x: Board) =>
    (x.sharedLimits ?? []).map((l) => `${sharedLabel(x, l)} ${figureWords(l.amps, 'A')}`).join('; ') || 'not said';
  say('sharedLimits', 'What regulators carry together', shared(a), shared(b));
  say('pads', 'Pads', `${a.pads.length}`, `${b.pads.length}`);
  return found;
}
