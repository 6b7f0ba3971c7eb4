/** Whether a file is as it was written: by a checksum in it (SHA-256, FIPS 180-4) over its text with that checksum as noughts. `open`: it has none. */
export type Seal = 'whole' | 'changed' | 'open';

const noughts = '0'.repeat(64);
const place = /"checksum": ?"([0-9a-f]{64})"/;

/** A file's text with its checksum. It must have none yet. */
export async function sealed(file: object): Promise<string> {
  const text = JSON.stringify({ ...file, checksum: noughts }, null, 1);
  return text.replace(place, `"checksum": "${await sha256(text)}"`);
}

export async function sealOf(text: string): Promise<Seal> {
  const said = place.exec(text)?.[1];
  if (!said) return 'open';
  return (await sha256(text.replace(place, `"checksum": "${noughts}"`))) === said ? 'whole' : 'changed';
}

async function sha256(text: string): Promise<string> {
  const hash = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
  return [...new Uint8Array(hash)].map((b) => b.toString(16).padStart(2, '0')).join('');
}
