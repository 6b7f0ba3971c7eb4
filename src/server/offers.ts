import { z } from 'zod';
import { counted, withTypedOffers, type Board } from '../core';

const replySchema = z.object({
  offers: z
    .array(
      z.object({
        shop: z.string().trim().min(1).max(80),
        cents: z.int().min(1).max(1_000_000),
        currency: z.string().regex(/^[A-Z]{3}$/),
        shippingCents: z.int().min(0).max(100_000),
        deliveryDays: z.int().min(0).max(365),
        stock: z.int().min(0).max(100_000),
      }),
    )
    .max(50),
});

export type Refreshed = { ok: true; offers: Board['offers']; sentence: string } | { ok: false; sentence: string };

const mostBytes = 64 * 1024;

/**
 * Asks the shop service for the offers of a board. Whatever it answers, slowly, hugely, wrongly or not at all, the old offers stay as they are:
 * only a reply that is sound as a whole takes their place.
 */
export async function refreshOffers(
  board: Board,
  address: string | undefined,
  today: string,
  waitMs = 3000,
): Promise<Refreshed> {
  if (!address)
    return { ok: false, sentence: 'No shop service is set up (RUNG_SHOP_URL). The offers stay as they are.' };
  let text: string | null;
  try {
    const reply = await fetch(`${address}/offers?board=${encodeURIComponent(board.id)}`, {
      signal: AbortSignal.timeout(waitMs),
    });
    if (!reply.ok)
      return {
        ok: false,
        sentence: `The shop service answers ${reply.status}. The offers stay as they are; ask again later.`,
      };
    text = await bounded(reply);
  } catch {
    return {
      ok: false,
      sentence: `The shop service does not answer within ${waitMs / 1000} seconds. The offers stay as they are; ask again later.`,
    };
  }
  if (text === null)
    return {
      ok: false,
      sentence: 'The shop service sends far more than a list of offers. The offers stay as they are.',
    };
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return {
      ok: false,
      sentence: 'The shop service sends something that is not a list of offers. The offers stay as they are.',
    };
  }
  const read = replySchema.safeParse(data);
  if (!read.success) {
    const issue = read.error.issues[0]!;
    return {
      ok: false,
      sentence: `The shop service sends an offer that cannot be right (${issue.path.join('.')}: ${issue.message}). The offers stay as they are.`,
    };
  }
  const offers = read.data.offers.map((o) => ({ ...o, seen: today }));
  return {
    ok: true,
    offers: withTypedOffers(offers, board.offers),
    sentence:
      offers.length === 0 ? 'No shop offers this board today.' : `${counted(offers.length, 'offer')}, seen today.`,
  };
}

async function bounded(reply: Response): Promise<string | null> {
  const reader = reply.body?.getReader();
  if (!reader) return '';
  const pieces: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return new TextDecoder().decode(Buffer.concat(pieces));
    size += value.byteLength;
    if (size > mostBytes) {
      await reader.cancel();
      return null;
    }
    pieces.push(value);
  }
}
