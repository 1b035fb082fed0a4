import { plainText } from '../measure';

/** Words as they may stand in a page or a drawing, between tags and in a value. */
export const escapeXml = (text: string): string =>
  plainText(text).replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
