/** The header by which a page learns its own address, for the way back from signing in. */
export const askedPath = 'x-asked-path';
