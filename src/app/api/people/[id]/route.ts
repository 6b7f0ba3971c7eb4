import { roleAsked } from '@/server/asked';
import { answer, say } from '@/server/answer';
import { bodyJson } from '@/server/body';
import { note } from '@/server/people/audit';
import { changeRole, removeMember } from '@/server/people/members';
import { theirs } from '@/server/people/who';

type Context = { params: Promise<{ id: string }> };

export function PUT(request: Request, { params }: Context) {
  return answer(request, 'own', async (who) => {
    const { id } = await params;
    const asked = roleAsked.safeParse(await bodyJson(request));
    if (!asked.success) return say(422, 'Expected a role: owner, editor or reader.');
    const fault = await theirs(who, async (db) => {
      const said = await changeRole(db, id, asked.data.role);
      if (!said) await note(db, who, `made somebody ${asked.data.role}`, id);
      return said;
    });
    return fault ? say(409, fault) : say(200, 'From now on.');
  });
}

export function DELETE(request: Request, { params }: Context) {
  return answer(request, 'own', async (who) => {
    const { id } = await params;
    const fault = await theirs(who, async (db) => {
      const said = await removeMember(db, who.workspace, id);
      if (!said) await note(db, who, 'took somebody out', id);
      return said;
    });
    return fault ? say(409, fault) : say(200, 'From now on they see nothing of this workspace.');
  });
}
