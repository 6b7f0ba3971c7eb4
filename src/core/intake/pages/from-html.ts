import { parse, type DefaultTreeAdapterMap } from 'parse5';

type Node = DefaultTreeAdapterMap['node'];

const unseen = new Set([
  'script',
  'style',
  'noscript',
  'template',
  'head',
  'svg',
  'iframe',
  'nav',
  'footer',
  'button',
  'select',
  'form',
]);
const blocks = new Set(
  'address article aside blockquote br dd div dl dt figcaption figure h1 h2 h3 h4 h5 h6 header hr li main ol p pre section table tbody thead tfoot tr ul summary details caption'.split(
    ' ',
  ),
);
/** Deeper than any page of a shop; what lies below is left out. */
const deepest = 200;

/** A saved page as text: blocks on lines of their own, cells of a table apart by bars, lists with dashes; what is not shown to a reader is left out. */
export function fromHtml(html: string): string {
  const parts: string[] = [];
  const walk = (node: Node, depth: number) => {
    if (depth > deepest) return;
    if (node.nodeName === '#text') {
      parts.push((node as DefaultTreeAdapterMap['textNode']).value.replace(/\s+/g, ' '));
      return;
    }
    const element = node as DefaultTreeAdapterMap['element'];
    const name = node.nodeName;
    if (unseen.has(name) || hidden(element)) return;
    if (name === 'dd') parts.push(': ');
    else if (blocks.has(name)) parts.push('\n');
    if (name === 'li') parts.push('- ');
    // A picture's own words are words of the page.
    if (name === 'img') parts.push(` ${attribute(element, 'alt') ?? ''} `);
    for (const child of 'childNodes' in element ? element.childNodes : []) walk(child, depth + 1);
    if (name === 'td' || name === 'th') parts.push(' | ');
    if (blocks.has(name) && name !== 'dt') parts.push('\n');
  };
  walk(parse(html), 0);
  return parts
    .join('')
    .split('\n')
    .map((line) => line.replace(/ {2,}/g, ' ').replace(/ \| $/, '').trim())
    .filter((line, i, all) => line !== '' || all[i - 1] !== '')
    .join('\n')
    .trim();
}

const attribute = (element: DefaultTreeAdapterMap['element'], name: string) =>
  element.attrs?.find((a) => a.name === name)?.value;

function hidden(element: DefaultTreeAdapterMap['element']): boolean {
  return (
    attribute(element, 'hidden') !== undefined ||
    attribute(element, 'aria-hidden') === 'true' ||
    /display:\s*none/.test(attribute(element, 'style') ?? '')
  );
}

/** Does a text look like a page of the web rather than like words? */
export function isHtml(text: string): boolean {
  const head = text.slice(0, 2000);
  return (
    /^\s*(?:<!doctype html|<html|<\?xml[^>]*>\s*<!doctype html)/i.test(head) ||
    (head.match(/<(?:div|p|table|ul|li|span|br|h[1-6])\b/gi)?.length ?? 0) >= 3
  );
}
