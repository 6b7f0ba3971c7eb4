/** Characters in place of what is not about the board: no rule reads over them, and lines keep their length. */
const struck = '\u0001';
const blank = (s: string) => s.replace(/[^\n]/g, struck);

/** Headings behind which a page speaks of other things, until a heading of its own again. */
const othersBegin =
  /^[ \t#*=_[\]-]{0,6}(?:you may also (?:like|need)|(?:customers|people|others|buyers) (?:who bought this )?(?:also )?(?:bought|viewed|like|chose)(?:d|s)?\b|related (?:products|items)?|similar (?:products|items)|frequently bought|recently viewed|recommended (?:products|for you)|also available|see also|more from|other products|accessories(?: \(not included\))?|we also sell|goes well with|pairs well with|bundles?(?: and save| deals?| offers?)?|buy (?:it )?together|complete (?:your|the) (?:build|set)|compare with|from the same shop|bought together|das könnte|ähnliche|kunden kauften)[^\n]{0,40}$/;
const ownBegin =
  /^[ \t#*=_[\]-]{0,6}(?:specs?|specifications?|technical data|description|features|details|about (?:the|this) board|product (?:details|description|information)|data|hardware|overview|the board|main features|key features|technische daten|mechanics|power|ports|parameters?)\b[^\n:]{0,30}:?[ \t=*\]]{0,6}$/;
const talkBegins =
  /^[ \t#*=_[\]-]{0,6}(?:(?:customer |product |user )?(?:reviews?|comments?|ratings?|testimonials?|feedback)(?: \(\d+\))?|questions? (?:and|&) answers?|q ?& ?a|faq|what (?:buyers|customers|others) say)[ \t:=*\]]{0,6}$/;
const boxBegins =
  /^[ \t#*=_[\]-]{0,6}(?:in the (?:box|bag|package|parcel)|contents? of (?:this|the|your) (?:parcel|box|package|bag|kit)|packag(?:e|ing)(?: (?:contents?|list|includes?))?|package contents?|what'?s (?:in the box|included)|box contents?|contents?|included(?: in the (?:box|package))?|includes?|scope of delivery|recei?ve list|packing list|parts list|kit contents?|delivery includes|you get|supplied with)[ \t=*\]]{0,3}(?::|$)/;

/** Pieces of a line that are about a parcel, an accessory, a shop or another product. */
const pieces: RegExp[] = [
  /\b(?:measur(?:ement|ing) |manual )?(?:error|deviation|tolerance)s?\b[ :]{0,3}(?:of |is |about |within |±)?\d[^.;|\n]{0,30}/g,
  /\bmy (?:own |other |old )?(?:\d{1,2}[ -]?inch(?:er)?|wing|racer|long[ -]range)(?: (?:build|quad|craft|machine))? (?:with|has|runs|uses) [^\n.;]{0,60}/g,
  /\bweight,? (?:incl(?:\.|uding)?|with) (?:the )?packag[a-z]{1,3}[^|\n;]{0,40}/g,
  /\b(?:(?:package|packaging|parcel|packed|packing|gross|shipping|shipped|box|carton)[ _-](?:weight|size|dimensions?|measure\w{0,6})(?:_[a-z]{1,4})?|pack (?:size|dimensions?))\b(?:[^|\n;.]|\.(?! )){0,80}|\bg\.w\.?[^|\n;]{0,40}|\b(?:weight|wt|mass) gross\b[^|\n;]{0,40}|\bgross wt\b[^|\n;]{0,40}/g,
  /\bfor (?:any|all|every|most) (?:flight )?controllers?[^\n.;]{0,60}/g,
  /\b(?:adds?|plus|another) \d{1,3}(?:[.,]\d)? ?g\b(?! (?:board|controller))|\bmotors? \d{4}\b[^.;|\n]{0,16}\d ?g\b(?: each)?/g,
  /(?:^|(?<=\n))[ \t]{0,4}(?:my |other |the )?(?:gear|equipment)(?: used)?(?: (?:in|of|for) (?:this|the) (?:video|film|build|review))?[ \t]{0,3}:[^\n]{0,300}/g,
  /\b(?:i(?:'ve)? (?:also|still) (?:have|got|sell)|also (?:selling|for sale)|j'ai aussi|je vends aussi|ich habe (?:auch|noch)|verkaufe auch|también (?:tengo|vendo)|tengo también|ho anche|vendo anche|mam też|heb ook|har också|har også|tenho também|também (?:tenho|vendo))\b[^\n]{0,120}?(?=\. |\n|$)/g,
  // Of the whole craft.
  /\b(?:\d{2,4} ?g? ?(?:-|to) ?)?\d{2,4} ?g (?:auw|all[- ]up|take-?off|craft|quads?|builds?|models?)\b|\b(?:auw|all[- ]up(?: weight)?|take-?off (?:weight|mass))[ :]{0,3}(?:up to |of )?(?:\d{2,4} ?g? ?(?:-|to) ?)?\d{2,4} ?g\b/g,
  /\b(?:box|parcel|package)[ :]{1,3}\d{1,3} ?x ?\d[^.;\n]{0,60}/g,
  /\b(?:sent|shipped|comes|packed|arrives) in an? (?:box|tin|bag|parcel|case)\b(?:[^\n;.]|\.\d){0,60}/g,
  /\b(?:parcel|package|box)[ :]{1,3}\d{1,4}(?:[.,]\d)? ?(?:g|kg)\b/g,
  /\b(?:parcel|package|box|letter|envelope|mailer) \([^)\n]{3,40}\)/g,
  /\b(?:parcel|package|box) (?:weighs|is) [^|\n;.]{0,40}/g,
  /\b\d{1,2} ?v[ /,]{0,3}\d{2,4} ?(?:uf|µf|mf)\b|\b\d{2,4} ?(?:uf|µf|mf)[ /,]{0,3}\d{1,2} ?v\b/g,
  /\b(?:low[ -]esr )?(?:capacitors?|cap)\b[ :]{0,3}(?:\d[ \t]?x[ \t]?)?\d{1,2} ?v\b(?:[ /,]{0,3}\d{2,4} ?(?:uf|µf|u)?)?|\bxt ?\d\d(?: plugs?| connectors?)?(?: \([^)\n]{0,20}\))?/g,
  /\b(?:\d{1,4} ?(?:mm|cm) )?\d{1,2} ?awg(?: \d{1,4} ?(?:mm|cm))?(?: (?:leads?|wires?|cables?))?|\b(?:cable|wire|lead|harness|pigtail|ribbon|antenna|strap|cord)s?\b(?: length)?[ :,]{0,3}(?:\d{1,2}[ -]?(?:pins?|cores?|p)\b[ ,]{0,2})?\d{1,4}(?:[.,]\d)? ?(?:mm|cm)\b(?! (?:high|tall|thick|wide)\b)|\b\d{1,4} ?(?:mm|cm)(?: long)? (?:cable|wire|lead|harness|pigtail|ribbon|antenna|strap|silicone)\w{0,3}/g,
  /(?<=\bm[23](?:[.,]\d)?)[ \t]?x[ \t]?\d{1,2}(?:[ \t]?mm)?\b/g,
  /\b(?!(?:30|25)[.,]5 ?mm|20 ?mm frames)\d{1,3}(?:[.,]\d)?(?: ?(?:mm|inch|in)| ?")(?: (?:and|to|or|-) \d{1,3}(?:[.,]\d)?(?: ?(?:mm|inch|in)| ?"))? (?:props?|propellers?|frames?|whoops?|wheelbase|machines?|quads?|builds?|diagonal)\b|\b(?:props?|propellers?|wheelbase)\b[ :]{0,3}\d{1,3}(?:[.,]\d)?(?: ?mm| ?inch| ?")?|\b\d{1,2}[ -]?inch\b/g,
  /(?:^|(?<=\n))[ \t|*-]{0,4}\d{1,2} ?(?:x|pcs)? (?!(?:a|amps?|v|mm|g|s)\b)(?:[a-z0-9"-]{1,12} ){0,2}(?:motors?|frame|propellers?|props|camera|video transmitter|vtx|battery|pack|antenna|gps)\b[^\n]{0,200}/g,
  /\b(?:flies|flown|runs?) with(?=[^\n.;]{0,40}\b(?:escs?|motors?)\b)[^\n.;]{0,80}/g,
  /\bframes?\b[^\n.;]{0,40}\(\d{2,4} ?mm\)(?:, [^\n.;(]{0,30}\(\d{2,4} ?mm\)){0,6}/g,
  /\brecommended (?:wires?|capacitors?|frames?|props?|propellers?|pack|battery|motors?|esc|with our|use|accessor)[^\n.;]{0,100}/g,
  /\b(?:use|with|like|unlike|than|of|for|as) our [^\n.;,]{0,80}/g,
  /(?:^|(?<=\n))[ \t|]{0,4}(?:\d{1,2} ?x? |m[23] )?(?:harness|grommets?|rubbers?|(?:rubber|soft|silicone) [a-z]{4,10}|dampers?|isolators?|cables?|wires?|capacitor|screws?|stand-?offs?|antenna|leads?)\b[^\n]{0,40}\d ?g\b/g,
  /\((?:discontinued|superseded|replaced by|replaces|successor|predecessor|see) [^)\n]{0,100}\)|\(discontinued, [^)\n]{0,100}\)/g,
  /\b(?:arms?|plates?|carbon)\b[^\n,;.]{0,14}\d ?mm(?: thick)?/g,
  /(?<!\b(?:with|without|w\/o|no|incl\.?|excl\.?|including|excluding) (?:the )?)\b(?:frame|motors?|props?|propellers?|camera|vtx|video transmitter|receiver|pack|battery|gps|antenna|canopy|landing gear)\b[ :]{1,2}(?:\d{1,2} ?x ?)?\d{1,4}(?:[.,]\d{1,2})? ?g\b(?! per)/g,
  /\b(?:cheaper than similar|similar(?: boards| ones)?|alternatives?|also consider|others like it|see also|voir aussi|siehe auch|vedi anche|véase también|ver también|ver também|zie ook|zobacz też|zobacz również|se även|se også|viz také|lásd még)[ \t]{0,3}:[^\n]{0,300}/g,
  /\b(?:compared|in comparison) (?:with|to) (?:the |an? |its )?[^\n.;(]{0,40}\([^)\n]{0,80}\)/g,
  // Goods of a list, by what they weigh or draw: "2. Receiver 2.4 GHz, 1.3 g, 5 V 0.1 A".
  /(?:^|(?<=\n))[ \t]{0,4}(?:[-*•] |\d{1,2}[.)] )?(?:receiver|gps(?: module)?|camera|vtx|video transmitter|air unit|motors?|propellers?|buzzer|antenna)\b(?![^\n]{0,200}\b(?:uarts?|pads?|ports?|bec|regulators?|rails?|outputs?|supply)\b)[^\n:]{0,80}, [^\n:]{0,120}\d ?(?:g|a|ma)\b[^\n]{0,80}/g,
  /\bwill there (?:ever )?be an?\b[^\n]{0,200}/g,
  /\b(?:companion|partner|mate|successor) (?:of|for|to) the [^\n.;,]{2,40}|\bconnects to the (?!pads?\b)[a-z]+ [a-z0-9]+\b/g,
  /\b(?:passend dazu|dazu passend|dazu passt|s'accorde avec|va bien avec|combina (?:con|com)|si abbina (?:a|con)|past (?:goed )?bij|pasuje do)[ \t]{0,3}:?[^\n]{0,200}/g,
  /\b(?:also (?:new|back|in stock|available|on sale)|we also (?:have|sell))\b[^\n.]{0,160}/g,
  /(?<=net ?\/ ?gross[^\n]{0,14}g) ?\/ ?\d{1,4}(?:\.\d)? ?g/g,
  /\bpcb thickness[ :]{0,3}\d(?:[.,]\d{1,2})? ?mm|\b(?:thickness|thick)[ :]{0,3}1[.,][0-9] ?mm\b/g,
  /\bcopper\b[^\n,;.]{0,40}|\b\d{1,2} ?oz copper\b|\b\d layers? of \d ?oz\b/g,
  /\b\d{1,4} ?(?:kb|mb) (?:of )?(?:program(?:me)?|code|firmware|ram|sram|rom)\b(?: memory)?|\b(?:program|code) memory[ :]{0,3}\d{1,4} ?(?:kb|mb)|\b(?:up to )?\d{1,3} ?gb\b(?: cards?)?/g,
  /(?<!\b(?:the|my|a|our|kitchen|on) )\b(?:current )?scale[ :,]{0,3}(?:of )?\d{1,4}\b(?![.,]\d| ?(?:a|g|grams)\b)|\b\d{1,3}(?:[.,]\d{1,2})? ?mv ?\/ ?a\b/g,
  /(?:^|(?<=\n))[ \t]{0,4}(?:video transmitter|vtx|camera|gps|air unit|antenna|motors?|props?)[ \t]{0,3}:[^\n]{0,200}/g,
  /(?:^|(?<=\n))[ \t*-]{0,4}(?:works (?:well )?with|suits|pairs with|(?:fully )?compatible with|tested with|used with|goes with)[ \t]{0,3}:?(?![ \t]{0,3}\d)[^\n]{0,300}/g,
  /\b(?:(?:fully |also )?compatible with|(?:made |meant )?for use with|works with|pairs with|suits)\b(?: (?:all|any|most|both|our|the))?(?! (?:\d{1,2} ?(?:-|to) ?)?\d{1,2} ?s\b)(?=(?:[^\n.;]|\.\d){0,60}\b(?:motors?|escs?|frames?|props?|controllers?|receivers?|goggles|vtx|air units?|cameras?)\b)(?:[^\n.;]|\.\d){0,100}/g,
  /\b(?:video transmitter|vtx|camera|gps|receiver|air unit|led|buzzer|video)s?\b[ :]{0,3}\d(?:[.,]\d{1,3})? ?(?:a|ma)\b(?: (?:at|@) \d{1,2} ?v)?/g,
  /\b(?:total|all|sum)(?: of (?:four|all|4))?(?: peak| burst| continuous| current){0,2}[ :]{0,3}\d{2,4} ?a\b|\(?\b\d{2,4} ?a (?:(?:in )?total|in all|altogether|combined)\b\)?/g,
  /(?:^|(?<=\n))[ \t]{0,4}(?:filters?|sort by|categor(?:y|ies)|tags|keywords?)[ \t]{0,3}:[^\n]{0,400}/g,
  /(?:^|(?<=\n))[ \t]{0,4}(?:weight|mass|size)? ?\(?(?:box|parcel|packaging)\)?[ \t]{0,3}[.:_-]{1,80}[^\n]{0,60}/g,
  /\bstand-?offs?(?: height| length)?[ :]{0,2}\d{1,2}(?:[.,]\d)? ?mm\b/g,
  /\bgross[ :]{1,3}\d{1,4}(?:[.,]\d)? ?(?:g|kg)\b/g,
  /(?<=\b(?:gps|buzzer|receiver|antenna|camera|transmitter|(?:\d{1,2}[ -]inch |my |own )frame|(?:lead|cable|wire|plug)(?: of \d{1,3} ?mm)?) )\((?![^)\n]{0,60}\buart)[^)\n]{0,60}\)/g,
  /\b(?:for|with|using) (?:the |an? )?adapter\b[^\n.;]{0,80}|\badapter\b ?\((?:not included|sold)[^\n.;]{0,80}/g,
  /\b(?:price|postage|delivery|courier|voucher|coupon|discount|quantity(?: available)?|in stock|stock|sold|moq|sku|ean|gtin|hs code|model(?: no\.?| number)?|article(?: no\.?)?|item no\.?|order no\.?|part no\.?|rating|warranty|returns?|age|batch|lot)[ \t]{0,3}[:#][^\n|;,]{0,40}/g,
  /(?:[$€£]|\b(?:usd|eur|gbp|us \$)) ?\d{1,5}(?:[.,]\d{1,2})?\b|\b\d{1,5}(?:[.,]\d{1,2})? ?(?:[$€£]|usd\b|eur\b|gbp\b|euros?\b|dollars?\b)/g,
  /\b(?:free )?(?:shipping|returns?|delivery|postage)\b(?! (?:since|now|from (?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)))[^\n|;.]{0,60}/g,
  /\bthe [^\n.;(]{2,40} itself\b[^\n.]{0,120}\b(?:sold|bought|ordered) separately/g,
  /\b(?:weight|mass) of the (?:bundle|kit|set|order|combo)\b[^\n;.]{0,24}/g,
  /\b(?:the|my) (?:frame|pack|battery|motors?|camera|props?)(?: (?:is|are|weighs?))? \d{1,4}(?:\.\d)? ?g\b/g,
  /\binstead of (?:[^\n,;.)]|\.\d){0,40}/g,
  /\b(?:not|unlike) (?:the |an? )?[a-z]?\d{3}[^\n,;.]{0,20} like the (?:last|old)[^\n,;.]{0,20}/g,
  /(?:^|(?<=\n))[ \t]{0,4}\[?\d{1,2}:\d{2}(?::\d{2})?\]?|\b\d{4}-\d{2}-\d{2}\b/g,
  /(?:^|(?<=\n))[ \t]{0,4}\d{1,2}[.)](?=[ \t]{1,4}[^\d\n])/g,
  /(?:^|(?<=\n))[ \t]{0,4}(?!(?:30|25)\.5 )\d{1,2}(?:\.\d{1,2}){1,3}(?=[ \t]{1,4}(?!grams|milli|volts|amps)[a-z]{4})/g,
  /(?:^|(?<=\n))[ \t]{0,4}(?:optional(?:ly)?|accessories|extras?|also sold)(?: parts?)?:[^\n]{0,300}/g,
  /(?<=[\p{L}\p{N})])\[\d{1,2}\]|(?:^|(?<=\n))\[\d{1,2}\] [^\n]{0,300}/gu,
  /\brev(?:ision)?\.? ?\d(?:\.\d)?\b|\bv\d\.\d\b/g,
  /\b\d soft ?serial\b|\bone soft ?serial\b|\bsoft ?serial\b[^\n,;.]{0,20}/g,
  /\b\d(?:[.,]\d)? ?ghz\b|\b(?:2[.,]4|5[.,]8)(?:g\b| g(?= ?(?:radio|receiver|rx|wi-?fi|band|antenna|video|transmitter|link|control)))|\b\d{2,3} ?mhz\b/g,
];

const listLine = /^[ \t]{0,4}(?:[-+ ]{0,2}\d{1,2}[ \t]{0,2}(?:x|pcs|pieces)\b|[-+] )/;
const theBoardItself = /\b(?:flight controller|controller board|fc|board|stack|esc|aio)\b/;

/**
 * The plain text with everything struck out that speaks of other products, the parcel, accessories or the shop, of the same length; and by line, from where talk begins and ends.
 */
export function withoutAsides(text: string): { text: string; talk: [number, number][] } {
  const talk: [number, number][] = [];
  let mode: 'own' | 'others' | 'talk' | 'box' = 'own';
  let at = 0;
  const lines = text.split('\n').map((line, i, all) => {
    const start = at;
    at += line.length + 1;
    const head = line.trimEnd();
    if (othersBegin.test(head)) mode = 'others';
    else if (talkBegins.test(head)) mode = 'talk';
    else if (ownBegin.test(head)) mode = 'own';
    else if (boxBegins.test(head)) {
      const inline = head.slice(head.search(/:|$/) + 1).trim() !== '';
      // "In the bag: board, rubber. Board: F722, ...": what follows is about the board again.
      const own = head.search(/[.;] (?:the )?(?:board|controller|flight controller|esc|specs?|data): /);
      if (inline) return own < 0 ? blank(line) : blank(line.slice(0, own)) + line.slice(own);
      mode = listLine.test(all[i + 1] ?? '') ? 'box' : mode;
      return blank(line);
    } else if (mode === 'box' && !listLine.test(line)) mode = 'own';
    if (mode === 'others') return blank(line);
    if (mode === 'box') return theBoardItself.test(line) && !/harness|cable|wire/.test(line) ? line : blank(line);
    if (mode === 'talk' || /^[ \t]{0,4}(?:>|\[quote|[qa]\d{0,2}[:.] )/.test(line))
      talk.push([start, start + line.length]);
    return line;
  });
  return { text: pieces.reduce((t, piece) => t.replace(piece, blank), lines.join('\n')), talk };
}
