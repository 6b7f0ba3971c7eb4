/** A picture as it may be kept, or the sentence that says why not. */
export type Photo = { ok: true; mime: 'image/png' | 'image/jpeg'; body: Buffer } | { ok: false; sentence: string };

/**
 * Takes PNG and JPEG by their content, not by their name, and leaves out what the camera wrote beside the picture: place, time, maker, comments.
 * PNG: ISO/IEC 15948, chunks; JPEG: ITU-T T.81, marker segments APP1 to APP15 and COM.
 */
export function photoFrom(bytes: Buffer): Photo {
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])))
    return stripPng(bytes);
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return stripJpeg(bytes);
  return { ok: false, sentence: 'This is neither a PNG nor a JPEG picture, whatever its name says. Nothing was kept.' };
}

const broken = {
  ok: false as const,
  sentence: 'The picture ends in the middle. Nothing was kept; take or copy it again.',
};

function stripPng(bytes: Buffer): Photo {
  const kept = [bytes.subarray(0, 8)];
  const picture = new Set(['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'gAMA', 'cHRM', 'sRGB', 'sBIT', 'bKGD', 'pHYs']);
  for (let at = 8; at + 12 <= bytes.length;) {
    const end = at + 12 + bytes.readUInt32BE(at);
    if (end > bytes.length) return broken;
    const type = bytes.toString('latin1', at + 4, at + 8);
    if (picture.has(type)) kept.push(bytes.subarray(at, end));
    if (type === 'IEND') return { ok: true, mime: 'image/png', body: Buffer.concat(kept) };
    at = end;
  }
  return broken;
}

/** Segment by segment to the end of the image; what stands behind that is no part of the picture. */
function stripJpeg(bytes: Buffer): Photo {
  const kept = [bytes.subarray(0, 2)];
  for (let at = 2; at + 2 <= bytes.length;) {
    if (bytes[at] !== 0xff) return broken;
    const marker = bytes[at + 1]!;
    if (marker === 0xd9)
      return { ok: true, mime: 'image/jpeg', body: Buffer.concat([...kept, bytes.subarray(at, at + 2)]) };
    if (at + 4 > bytes.length) return broken;
    const header = at + 2 + bytes.readUInt16BE(at + 2);
    if (header > bytes.length) return broken;
    // Behind the head of a scan its data runs to the next marker.
    const end = marker === 0xda ? nextMarker(bytes, header) : header;
    const aside = (marker >= 0xe1 && marker <= 0xef) || marker === 0xfe;
    if (!aside) kept.push(bytes.subarray(at, end));
    at = end;
  }
  return broken;
}

/** Within a scan FF stands before a nought that is data, or before a restart mark; before anything else it is a marker. */
function nextMarker(bytes: Buffer, from: number): number {
  for (let at = bytes.indexOf(0xff, from); at >= 0; at = bytes.indexOf(0xff, at + 1)) {
    const next = bytes[at + 1];
    if (next === undefined) break;
    if (next !== 0 && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  return bytes.length;
}
