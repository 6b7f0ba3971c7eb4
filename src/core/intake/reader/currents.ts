import { replaced, type Script } from './script';

/** "50 A continuous, 60 A max", "50 A (max. 60 A)", "50 A / max (10 s): 60 A": both currents, and what stands between them. */
const beside =
  /(?<=\b(\d{1,3}(?:\.\d)?) ?a(?:mps?)?\b((?:[^\n;]|;(?! bec)){0,40}?)[ (,/|:])(?:(\d{1,3}(?:\.\d)?) ?a(?:mps?)?(?: ?x ?4)? max(?:imum)?\b|max(?:imum)?\.?(?:[ :]{1,2}|[ ,|]*\(?\d{1,2} ?s(?:ec)?\)?[ :|]{1,3})(\d{1,3}(?:\.\d)?) ?a(?:mps?)?\b)/g;
const ofElse = /\d ?v\b|bec|regulator|sensor|meter|servo|rail/;

/** Short words for what currents are: "50 A rated, 60 A max" is continuous and burst where two currents of motors stand beside each other, or one with its seconds. */
export function currentsNamed(script: Script): Script {
  let s = replaced(script, /\bsustained\b|(?<=\d ?a(?:mps?)? ?\(?)rated\b/g, () => 'continuous');
  s = replaced(s, beside, ([least, between, behind, ahead], { text }) =>
    Number(behind ?? ahead) > Number(least) && Number(least) >= 3 && !ofElse.test(between!)
      ? text.replace(/max(?:imum)?\.?/, 'burst')
      : undefined,
  );
  // "max (10 s) 60 A", "60 A max 10 s", and a column beside that of the continuous current.
  s = replaced(
    s,
    /\bmax(?:imum)?\.?(?=(?: current)?(?: per channel)? ?[(,] ?\d{1,2} ?s(?:ec)?\)?[ \t]{0,16}[:|\d]|[: ]{1,2}\d{1,3} ?a ?(?:x ?4 ?)?[,/(] ?\d{1,2} ?s(?:ec)?\b(?! ?-))/g,
    () => 'burst',
  );
  s = replaced(
    s,
    /(?<=\d ?a(?: ?x ?4)? ?[ (])max(?:imum)?\b(?= ?[(,/]? ?(?:for )?\d{1,2} ?s(?:ec\w*)?\b(?! ?-))/g,
    () => 'burst',
  );
  return replaced(
    s,
    /(?<=\bcont(?:inuous)?\.?(?: ?\(a\))?[ \t|/]{1,10})max(?:imum)?\.?(?=[ \t]{0,8}[|(/]| {2,}|[ \t]*\n)/g,
    () => 'burst',
  );
}
