import { theirs } from '@/server/people/who';
import { findBoard, saveBoard } from '@/db/library';
import { answer, say } from '@/server/answer';
import { refreshOffers } from '@/server/offers';

type Context = { params: Promise<{ id: string }> };

/** Asks the shops for today's offers of a board and keeps them. */
export function POST(request: Request, { params }: Context) {
  return answer(request, 'write', async (who) => {
    const { id } = await params;
    const found = await theirs(who, (db) => findBoard(db, id));
    if (!found) return say(404, 'No board of this name is on the shelf.');
    const result = await refreshOffers(found.board, process.env.RUNG_SHOP_URL, new Date().toISOString().slice(0, 10));
    if (!result.ok) return say(502, result.sentence);
    const board = { ...found.board, offers: result.offers };
    const saved = await theirs(who, (db) => saveBoard(db, board, found.version));
    return saved.kind === 'saved'
      ? say(200, result.sentence, { board, version: saved.version })
      : say(409, 'The board was changed while the shops were asked. Ask again.');
  });
}
