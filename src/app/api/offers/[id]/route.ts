import { database } from '@/db/connection';
import { findBoard, saveBoard } from '@/db/library';
import { answer, say } from '@/server/answer';
import { refreshOffers } from '@/server/offers';

type Context = { params: Promise<{ id: string }> };

/** Asks the shops for today's offers of a board and keeps them. */
export function POST(request: Request, { params }: Context) {
  return answer(request, async () => {
    const db = database();
    const found = await findBoard(db, (await params).id);
    if (!found) return say(404, 'No board of this name is on the shelf.');
    const result = await refreshOffers(found.board, process.env.RUNG_SHOP_URL, new Date().toISOString().slice(0, 10));
    if (!result.ok) return say(502, result.sentence);
    const board = { ...found.board, offers: result.offers };
    const saved = await saveBoard(db, board, found.version);
    return saved.kind === 'saved'
      ? say(200, result.sentence, { board, version: saved.version })
      : say(409, 'The board was changed while the shops were asked. Ask again.');
  });
}
