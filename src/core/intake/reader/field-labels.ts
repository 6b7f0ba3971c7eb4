/** What a column, a key or a line of its own may be called, in English; the rules read "label: value". */
const labels =
  'processor|mcu|cpu|main chip|chip|uarts?|uart ports?|number of uarts?|ser(?:ial)? ports?|serial|ports|bec(?: ?\\d{1,2} ?v| output| outputs)?|regulators?|outputs?|\\d{1,2} ?v(?: regulator| bec| rail| output)?|' +
  'cells|cells? (?:count|min|max)|lipo|battery|pack|input(?: voltage)?|voltage|supply(?: voltage)?|vin|power input|working voltage|' +
  'holes?|hole (?:pattern|spacing|distance|pitch)|mounting(?: holes?| pattern| size)?|mount|pattern|screws?|size|dimensions?|outline|pcb|board|board size|length|width|height|thickness|' +
  'weight|mass|wt|net weight|n\\.w\\.?|product weight|item weight|(?:barometer|baro|pressure|air pressure)(?: sensor| chip)?|altimeter|(?:analog )?(?:osd|overlay)(?: chip)?|(?:flash|blackbox|log(?:ging)?)(?: (?:memory|flash|chip|storage))?|memory|storage|logger|usb(?: (?:plug|socket|connector|port|type))?|plug|magnetometer|compass|' +
  'supply,? (?:min|max)|input,? (?:min|max)|regulator \\d|bec ?#?\\d|hole distance|pad|rail|volts?|amps|(?:burst|peak) (?:time|duration)|weight \\(g\\)|continuous(?: current)?|cont\\.?|constant(?: current)?|(?:burst|peak)(?: current)?(?: \\d{1,2} ?s)?|current|esc(?: (?:cont|burst)\\.?)?|rated current|amps|time|burst time|current sensor|sensor|ammeter';
const label = new RegExp(`^(?:${labels})(?: ?\\([^)]{1,12}\\))?$`);

/** Is this cell, key or line the name of a figure? */
export function isLabel(cell: string): boolean {
  const words = cell
    .replace(/[_:.=*`[\]]+/g, ' ')
    .replace(/ {2,}/g, ' ')
    .trim();
  return words.length > 0 && words.length <= 30 && label.test(words);
}
