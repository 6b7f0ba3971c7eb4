const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

export interface Saved {
  id: string;
  version: number;
  build: Record<string, unknown>;
}

export const ask = (address: string, where: string, init: RequestInit & { version?: number } = {}) =>
  fetch(address + where, {
    ...init,
    headers: { origin: address, ...(init.version === undefined ? {} : { 'if-match': String(init.version) }) },
  });

export interface Told {
  acknowledged: number;
  lost: number;
  /** How often something else than 200 came back, by what it was. */
  others: Record<string, number>;
  ms: number[];
}

/** A whole answer, or null: one that is cut off amid its body, after its status, tells nothing. */
async function heard(...asked: Parameters<typeof ask>): Promise<{ ok: boolean; status: number; text: string } | null> {
  try {
    const reply = await ask(...asked);
    return { ok: reply.ok, status: reply.status, text: await reply.text() };
  } catch {
    return null;
  }
}

/**
 * Clients that each save a build of their own again and again until `over`, which is asked with what was told up to then; what does not go is sent again as it was. Lost: a save that was said to be kept and is older in the end.
 */
export async function editing(addresses: string[], clients: number, over: (told: Told) => boolean): Promise<Told> {
  const told: Told = { acknowledged: 0, lost: 0, others: {}, ms: [] };
  const other = (reply: { status: number } | null) => {
    const what = reply ? String(reply.status) : 'no answer';
    told.others[what] = (told.others[what] ?? 0) + 1;
    return wait(60);
  };
  const one = async (n: number) => {
    const address = addresses[n % addresses.length]!;
    let mine: Saved | null = null;
    while (!mine) {
      const made = await heard(address, '/api/builds', {
        method: 'POST',
        body: JSON.stringify({ name: `Fault ${n}` }),
      });
      if (!made?.ok) {
        await other(made);
        continue;
      }
      const { id } = JSON.parse(made.text) as { id: string };
      const there = await heard(address, `/api/builds/${id}`);
      if (there?.ok) mine = { id, ...(JSON.parse(there.text) as Omit<Saved, 'id'>) };
    }
    let kept = -1;
    for (let i = 0; !over(told); i++) {
      const build: Saved['build'] = { ...mine.build, craft: `Edit ${i}` };
      for (;;) {
        const begun = performance.now();
        const reply = await heard(address, `/api/builds/${mine.id}`, {
          method: 'PUT',
          version: mine.version,
          body: JSON.stringify(build),
        });
        told.ms.push(performance.now() - begun);
        if (reply?.ok) {
          mine = { ...mine, build, version: (JSON.parse(reply.text) as { version: number }).version };
          kept = i;
          told.acknowledged += 1;
          break;
        }
        await other(reply);
      }
    }
    const last = await ask(address, `/api/builds/${mine.id}`);
    const { build } = (await last.json()) as Saved;
    if (kept >= 0 && Number(String(build.craft).slice(5)) < kept) told.lost += 1;
  };
  await Promise.all(Array.from({ length: clients }, (_, n) => one(n)));
  return told;
}
