import { schemes } from '../theme/theme';

const inks: Record<keyof (typeof schemes)['light'], string> = {
  ...schemes.light,
  paper: '#ffffff',
  sheet: '#ffffff',
  ink: '#000000',
  faded: '#444444',
  hair: '#cccccc',
  pencil: '#888888',
  copperSoft: '#ffffff',
};

/** A drawing of the page as a file of its own, in ink on white: colours by value, since other programs know no variables. */
export function inkOnWhite(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.removeAttribute('style');
  const [x, y, width, height] = (copy.getAttribute('viewBox') ?? '0 0 100 100').split(' ').map(Number);
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  for (const [name, value] of Object.entries({ x, y, width, height, fill: '#ffffff' }))
    ground.setAttribute(name, String(value));
  copy.prepend(ground);
  return new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\(--(\w+)\)/g, (_, name: string) => inks[name as keyof typeof inks] ?? '#000000');
}
