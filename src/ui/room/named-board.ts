/** The board or set that an address names: by its path, else by its query. */
export function namedBoard(path: string, asked: string | null): string | null {
  const open = /[/](?:board|hookup)[/]([^/]+)$/.exec(path)?.[1];
  return open === undefined ? asked : decodeURIComponent(open);
}

/** That of the page at hand, where there is one. */
export function boardInAddress(): string | null {
  if (typeof location === 'undefined') return null;
  return namedBoard(location.pathname, new URLSearchParams(location.search).get('board'));
}
