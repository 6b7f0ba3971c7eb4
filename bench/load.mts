/**
 * Many clients at once on a running Rung: each starts a build of its own, saves it again and again, and in between reads the shelf:
 * `npm run -s bench -- load ADDRESS[,ADDRESS] [CLIENTS] [ROUNDS]`. Lost: a save that was said to be kept and is not there in the end. Builds are removed again.
 */
const [addresses, clientsSaid = '20', roundsSaid = '15'] = process.argv.slice(2);
if (!addresses) throw new Error('Expected the address of a running Rung, as npm run demo prints it.');
/** Several processes of one Rung, with commas between: clients are spread over them. */
const processes = addresses.split(',');
const [clients, rounds] = [Number(clientsSaid), Number(roundsSaid)];
const times: number[] = [];
const begun = performance.now();
let errors = 0;
let lost = 0;

interface Stored {
  build: { id: string; craft?: string } & Record<string, unknown>;
  version: number;
}

async function ask<T>(
  address: string,
  path: string,
  method = 'GET',
  body?: unknown,
  onVersion?: number,
): Promise<T | null> {
  const start = performance.now();
  try {
    const answer = await fetch(address + path, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      headers: { origin: address, ...(onVersion === undefined ? {} : { 'if-match': String(onVersion) }) },
    });
    const said = (await answer.json().catch(() => ({}))) as T;
    if (!answer.ok) errors += 1;
    return answer.ok ? said : null;
  } catch {
    errors += 1;
    return null;
  } finally {
    times.push(performance.now() - start);
  }
}

await Promise.all(
  Array.from({ length: clients }, async (_, n) => {
    const address = processes[n % processes.length]!;
    const made = await ask<{ id: string }>(address, '/api/builds', 'POST', { name: `Load ${n}` });
    if (!made) return;
    const path = `/api/builds/${made.id}`;
    let kept = '';
    let stored = await ask<Stored>(address, path);
    for (let i = 0; i < rounds && stored; i++) {
      const craft = `${n}/${i}`;
      const saved = await ask<{ version: number }>(address, path, 'PUT', { ...stored.build, craft }, stored.version);
      if (saved) {
        kept = craft;
        stored = { build: { ...stored.build, craft }, version: saved.version };
      }
      if (i % 5 === 0) await ask(address, '/api/shelf');
    }
    const end = await ask<Stored>(address, path);
    if (end?.build.craft !== kept) lost += 1;
    await ask(address, path, 'DELETE', undefined, end?.version);
  }),
);
times.sort((a, b) => a - b);
const at = (share: number) => Number(times[Math.min(times.length - 1, Math.floor(times.length * share))]!.toFixed(1));
const figures = {
  clients,
  requests: times.length,
  perSecond: Math.round((times.length / (performance.now() - begun)) * 1000),
  slowestMs: Math.round(times.at(-1)!),
  errors,
  lost,
  p50Ms: at(0.5),
  p99Ms: at(0.99),
};
console.table(figures);
console.log(JSON.stringify(figures));
