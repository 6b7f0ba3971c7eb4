/** What the first page knows of a build before it is worked out how it stands. */
export interface BuildCard {
  id: string;
  name: string;
  craft: string;
  cells: number;
  parts: number;
  stage: string;
  pick: string | null;
  arrivesOn: string | null;
  savedAt: string;
  version: number;
}
