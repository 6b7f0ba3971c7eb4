import { isLabel } from './field-labels';

/** Words by which a heading says that what follows is about the board itself. */
const own =
  /\b(?:specs?|specifications?|technical|tech|data|facts|features?|highlights?|descriptions?|details?|information|hardware|mechanic\w*|mech|electri\w*|power|supply|rails?|regulators?|ports?|pads?|connect\w*|sensors?|processor|memory|controllers?|microcontroller|escs?|boards?|stack|whole|set|general|both|common|together|all|body|inputs?|outputs?|physical|dimensions?|size|mounting|holes?|weights?|parameters?|values|ratings?|conditions?|characteristics|overview|summary|manual|datasheet|sheet|version|revision|inside|it)\b|(?:allgemein|technische|eigenschaften|merkmale|eckdaten|eingang|ausgang|regler|anschl|abmess|mecha|elektr|caratteristiche|caracter[ií]sticas|caractéristiques|dati |datos |données|fiche|dane|parametry|specificaties|kenmerken|teknisk|egenskaper|vlastnosti|jellemzők|характеристики|параметры|仕様|规格|参数)/;
/** A line that names what a board has is no heading. */
const item =
  /\b(?:baro\w*|osd|overlay|usb|bec|uarts?|flash|black ?box|led|sd|microsd|compass|magnetometer|gyro|yes|no|not|none|only)\b|\b(?:ohne|sans|sin|senza|bez|geen|kein|nessun|niente)\b/;
/** Two to five words, or one that is an own word of headings; scripts that write without spaces are left alone. */
const line =
  /^[ \t]{0,4}(?:#{1,4}|==|\[|\*\*)?[ \t]?([\p{Script=Latin}\p{Script=Cyrillic}&'/]+(?: [\p{Script=Latin}\p{Script=Cyrillic}&'/]+){0,4})[ \t]?(?:==|\]|\*\*)?:?[ \t]*$/u;

/** "Goshawk F7" and "Goshawk F7 Lite" over a list each: a family, of which the page tells the members apart. */
const member =
  /(?<=^|\n)[ \t]{0,4}(?:#{1,4} |\*\*)?(?!(?:page|chapter|section|table|figure|part|step|appendix|seite|kapitel|tabelle|tableau|p[áa]gina|strona) )(\p{L}{4,20})((?: [\p{L}\d.+-]{1,12}){1,3})(?:\*\*)?:?[ \t]*(?=\n)/gu;

function familyIn(page: string): Set<string> {
  const byFirst = new Map<string, Set<string>>();
  for (const [, first, more] of page.matchAll(member)) {
    const name = first! + more!;
    if (own.test(first!) || item.test(name) || isLabel(name) || isLabel(first!)) continue;
    byFirst.set(first!, (byFirst.get(first!) ?? new Set()).add(name));
  }
  const families = [...byFirst.values()].filter((names) => names.size > 1 && [...names].some((n) => /\d/.test(n)));
  return new Set(families.flatMap((names) => [...names]));
}

/** The heading that stands nearest above a place, where it says nothing of the board: what follows may be about something else. Given the page in small letters. */
export function foreignHeading(page: string, at: number): string | undefined {
  const above = page.slice(Math.max(0, at - 1500), page.lastIndexOf('\n', at) + 1).split('\n');
  // The first lines of a page are its title.
  const first = at > 1500 ? 0 : 2;
  const family = familyIn(page.slice(Math.max(0, at - 1500), at + 1500));
  for (let i = above.length - 1; i >= first; i--) {
    const name = above[i]!.replace(/[#*:]/g, '').trim();
    if (family.has(name)) return name;
    const words = line.exec(above[i]!.slice(0, 60))?.[1]?.trim();
    if (words === undefined || isLabel(words) || item.test(words)) continue;
    if (own.test(words)) return undefined;
    if (words.includes(' ')) return words;
  }
  return undefined;
}
