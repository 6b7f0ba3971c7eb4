import { sharedPads } from '../circuit/shared-pads';
import { tag, type Way, type Workshop } from './way';

/** A shared pad stands with one user at a time. */
export function padTags(shop: Workshop, pad: string, user: string): Way['tags'] {
  return sharedPads(shop.board).has(pad) ? [tag(shop, `pad:${pad}`, user)] : [];
}
