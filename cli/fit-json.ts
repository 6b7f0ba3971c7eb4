import { adviceWords, reasonWords, sentenceOf, type bestSets, type Build, type Hookup, type Ranked } from '../src/core';

/** The shape that `rung fit --json` prints; docs/fit-json.md describes it. */
export function fitJson(
  build: Build,
  ranked: Ranked[],
  { possible, tried, proved, out }: ReturnType<typeof bestSets>,
): object {
  return {
    format: 'rung-fit',
    version: 1,
    build: build.name,
    sets: {
      possible,
      tried,
      proved,
      out: out.map(({ id, name, finding }) => ({ id, name, rung: finding.rung, sentence: sentenceOf(finding) })),
    },
    boards: ranked.map(({ rank, climb, score }) => ({
      rank,
      id: climb.boardId,
      name: climb.boardName,
      maker: climb.maker,
      members: climb.members,
      verdict: climb.verdict,
      stopsAt: climb.stopsAt,
      score,
      takeOffMassG: climb.massG,
      toPayCents: climb.totalCents,
      rungs: climb.rungs.map((r) => ({
        rung: r.rung,
        name: r.name,
        state: r.state,
        margin: r.margin,
        needed: r.findings[0]?.needed ?? null,
        given: r.findings[0]?.given ?? null,
        reasons: r.findings.map((f) => ({
          code: f.code,
          about: f.about,
          member: f.member ?? null,
          state: f.state,
          says: f.says,
          sentence: sentenceOf(f),
          needed: f.needed ?? null,
          given: f.given ?? null,
          margin: f.margin ?? null,
          fix: f.fix ? adviceWords(f.fix) : null,
          advice: f.fix ?? null,
          figures: f.grounds,
        })),
      })),
      hookup: {
        links: climb.hookup.parts.flatMap((p) =>
          p.links.map((l) => ({
            part: p.id,
            mode: p.mode!.id,
            link: l.id,
            kind: l.link.kind,
            on: l.to,
            pads: l.pads,
            reasons: reasonsOf(l.conditions),
            lost: l.lost.map((r) => ({ ...r, sentence: reasonWords(r) })),
          })),
        ),
        supplies: climb.hookup.parts.flatMap((p) =>
          p.supplies.map((s) => ({
            part: p.id,
            supply: s.id,
            rail: s.rail,
            pads: s.pads,
            reasons: reasonsOf(s.conditions),
            lost: s.lost.map((r) => ({ ...r, sentence: reasonWords(r) })),
            volts: s.volts,
            typicalAmps: s.unsaid ? null : s.typicalAmps,
            peakAmps: s.unsaid ? null : s.peakAmps,
          })),
        ),
        loads: [...climb.hookup.rails, ...climb.hookup.together, ...climb.hookup.outputs].map((r) => ({
          on: r.rail,
          usableMa: r.usableMa,
          typicalMa: r.typicalMa,
          peakMa: r.peakMa,
          atLeast: r.atLeast,
          parts: r.parts.map((p) => ({
            part: p.part,
            typicalMa: p.unsaid ? null : p.typicalMa,
            peakMa: p.unsaid ? null : p.peakMa,
          })),
        })),
        leftOut: climb.hookup.parts.filter((p) => !p.mode).map((p) => ({ part: p.id, priority: p.priority })),
        bridges: climb.hookup.bridges.map((b) => ({ bridge: b.bridge, position: b.position, moved: b.moved })),
        releases: climb.hookup.releases,
        held: climb.hookup.held,
        cost: climb.hookup.cost,
        marginPercent: climb.hookup.marginPercent,
        freePorts: climb.hookup.freePorts,
      },
    })),
  };
}

/** Each condition by its code and figures, and in words. */
function reasonsOf(conditions: Hookup['parts'][number]['links'][number]['conditions']): object[] {
  return conditions.map(({ rung, truth, reason }) => ({ rung, truth, ...reason, sentence: reasonWords(reason) }));
}
