/** A fault in a file: which field, what stands there, what was expected. */
export interface Fault {
  field: string;
  sentence: string;
}
