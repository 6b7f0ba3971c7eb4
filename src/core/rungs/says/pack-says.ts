/** What rung 2 says, in volts and cells; not finite where nobody says. */
export type PackSays =
  | {
      code: 'full pack';
      /** Cells of each pack that the build flies on. */
      cells: number[];
      fullVolts: number;
      /** Of a set, the member whose figure decides. */
      member: string | null;
      standsVolts: number;
      /** The board says cells, not volts. */
      standsCells: number | null;
      margin: number | null;
    }
  | {
      code: 'empty pack';
      packs: number;
      fewestCells: number;
      emptyVolts: number;
      member: string | null;
      fromCells: number;
    }
  | { code: 'regulator input'; rail: string; reachVolts: number; standsVolts: { low: number; high: number } };
