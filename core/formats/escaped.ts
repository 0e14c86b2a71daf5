/** Characters that are no text, or turn the text after them round. */
const UNSEEN = /[\u0000-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069\ufffe\uffff]/g;

/** Text as it may stand in SVG or HTML, in an attribute as well. */
export const escaped = (text: string): string =>
  text
    .replace(UNSEEN, ' ')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
    .replaceAll("'", '&#39;');
