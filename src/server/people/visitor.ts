import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { askedPath } from './asked-path';
import { whoAsks, type Who } from './who';

/** Who looks at a page; whoever is nobody is shown the way in, and back to this page. `build`: the one the page is about, which may have been shared. */
export async function visitor(build?: string): Promise<Who> {
  const asked = await headers();
  const who = await whoAsks(asked, build);
  if (!who) redirect(`/sign-in?to=${encodeURIComponent(asked.get(askedPath) ?? '/')}`);
  return who;
}
