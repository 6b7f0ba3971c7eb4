import Papa from 'papaparse';

/** Lines for a spreadsheet (RFC 4180 with a comma). A cell that a spreadsheet would take for a formula is made harmless. */
export function csvLines(heading: string[], rows: (string | number)[][], delimiter: ',' | '\t' = ','): string {
  return Papa.unparse({ fields: heading, data: rows }, { delimiter, newline: '\r\n', escapeFormulae: true });
}
