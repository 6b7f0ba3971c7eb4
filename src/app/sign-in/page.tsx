import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { inNoWorkspace } from '@/server/people/who';
import { publicAddress } from '@/server/settings';
import { SignIn } from '@/ui/people/SignIn';

export const metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  if (!publicAddress()) redirect('/');
  const { to } = await searchParams;
  // Only a page of ours: neither "//elsewhere" nor a backslash that browsers read as a slash.
  const next = typeof to === 'string' && /^\/(?![/\\])[^\\]*$/.test(to) ? to : '/';
  return <SignIn to={next} placeless={await inNoWorkspace(await headers())} />;
}
