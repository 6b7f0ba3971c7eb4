/** What can be opened as a page, for a file dialog. */
export const pageFiles =
  '.txt,.md,.html,.htm,.mhtml,.mht,.pdf,.png,.jpg,.jpeg,.webp,.csv,.tsv,.xlsx,.json,.yaml,.yml,text/*';
