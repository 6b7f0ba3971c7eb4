/** Runs a command on the database of DATABASE_URL with a file; says in a sentence how it went. Exits with 2 where it did not. */
export async function onDatabase(
  command: string,
  work: (url: string, file: string) => Promise<{ ok: boolean; sentence: string }>,
): Promise<void> {
  const file = process.argv[2];
  const url = process.env.RUNG_OWNER_URL ?? process.env.DATABASE_URL;
  const done = await tried();
  (done.ok ? console.log : console.error)(done.sentence);
  if (!done.ok) process.exitCode = 2;

  async function tried(): Promise<{ ok: boolean; sentence: string }> {
    if (!file) return { ok: false, sentence: `Usage: npm run -s ${command} -- FILE` };
    if (!url) return { ok: false, sentence: 'DATABASE_URL is not set: the address of the database that is meant.' };
    try {
      return await work(url, file);
    } catch (error) {
      return { ok: false, sentence: `That did not go: ${error instanceof Error ? error.message : String(error)}` };
    }
  }
}
