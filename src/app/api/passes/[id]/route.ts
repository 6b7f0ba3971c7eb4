import { answer, say } from '@/server/answer';
import { note } from '@/server/people/audit';
import { withdrawPass } from '@/server/people/passes';
import { mayDo, theirs } from '@/server/people/who';

type Context = { params: Promise<{ id: string }> };

class NotTheirs extends Error {}

/** Withdraws a share, an invitation or a token: it opens nothing from the next request on. */
export function DELETE(request: Request, { params }: Context) {
  return answer(request, 'write', async (who) => {
    const { id } = await params;
    try {
      const gone = await theirs(who, async (db) => {
        const pass = await withdrawPass(db, id);
        if (pass && pass.kind !== 'share' && !mayDo(who, 'own')) throw new NotTheirs();
        if (pass) await note(db, who, `withdrew a ${pass.kind}`, pass.label);
        return pass;
      });
      return gone ? say(200, 'Withdrawn: it opens nothing any more.') : say(404, 'There is no such link any more.');
    } catch (error) {
      if (error instanceof NotTheirs)
        return say(403, 'Only an owner of this workspace may withdraw that. Nothing was changed.');
      throw error;
    }
  });
}
