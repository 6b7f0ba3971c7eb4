import { publicAddress } from '../settings';

/** A link as it is handed on; alone on this machine it would lead nowhere else. */
export function linkTo(path: string): string {
  const address = publicAddress();
  return address ? `${address.href.replace(/\/$/, '')}${path}` : path;
}
