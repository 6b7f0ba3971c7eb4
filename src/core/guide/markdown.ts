/** Words in a Markdown file as they stand: what would be markup, a link or HTML there is only text (CommonMark 0.31, backslash escapes). */
export function plainMarkdown(words: string): string {
  return words.replace(/[\\`*_[\]<>|]/g, (sign) => `\\${sign}`);
}
