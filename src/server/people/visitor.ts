import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { whoAsks, type Who } from './who';

/** Who looks at a page; whoever is nobody is shown the way in. `build`: the one the page is about, which may have been shared. */
export async function visitor(to: string, build?: string): Promise<Who> {
  const who = await whoAsks(await headers(), build);
  if (!who) redirect(`/sign-in?to=${encodeURIComponent(to)}`);
  return who;
}
