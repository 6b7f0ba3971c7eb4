import type { BuildSheet } from '@/core';

/** Cables between plugs, with both pin orders: two plugs that go into each other are not always wired alike. */
export function Cables({ cables }: { cables: BuildSheet['cables'] }) {
  if (cables.length === 0) return null;
  return (
    <section>
      <h3 style={{ fontSize: 14, margin: '12px 0 2px' }}>Cables</h3>
      {cables.map((c) => (
        <div key={`${c.board.plug} ${c.partName}`} style={{ marginBottom: 8, breakInside: 'avoid' }}>
          <div style={{ fontSize: 12.5 }}>
            {c.partName}: from the {c.board.plug} plug ({c.board.family}) to{' '}
            {c.part ? `its own plug (${c.part.family})` : 'the part, which has no plug that anybody describes'}
            {c.straight ? '; a straight cable does.' : '; a straight cable is wrong or does not go in: make this one.'}
          </div>
          <table style={{ width: 'auto' }}>
            <thead>
              <tr>
                <th>Board</th>
                <th>Part</th>
              </tr>
            </thead>
            <tbody>
              {c.lines.map((l) => {
                const to = l.part === null ? undefined : c.part?.pins[l.part - 1];
                return (
                  <tr key={l.board}>
                    <td>
                      pin {l.board}, {c.board.pins[l.board - 1]?.name}
                    </td>
                    <td>
                      {to
                        ? `pin ${to.number}, ${to.name}${to.colour ? ` (${to.colour})` : ''}`
                        : 'soldered to the part'}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      ))}
    </section>
  );
}
