/** The likely boards of a large shelf: asked for so that the browser can fetch them before the page's code is here, which takes the same address and nothing said besides. */
export function likelyPath(build: string): string {
  return `/api/builds/${build}/likely?packed`;
}
