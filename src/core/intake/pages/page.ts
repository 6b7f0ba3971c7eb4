/** Left, top, width and height of something on its page, in shares of the page's width and height. */
export type Box = [number, number, number, number];

/** One page of a source as it is read: its text and, where it has places, where each word of that stands. */
export interface Page {
  number: number;
  text: string;
  spots: { start: number; end: number; box: Box }[];
  /** Of print in a picture: its text as a second look has it. */
  secondLook?: string;
}

/** A word with its place, as a PDF or a reader of pictures gives it; any unit, y downwards. */
export interface Word {
  text: string;
  x: number;
  y: number;
  width: number;
  height: number;
}
