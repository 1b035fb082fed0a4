/**
 * A file's bytes as text: UTF-8, or UTF-16 as spreadsheets save "Unicode text", or, where neither holds, one letter a
 * byte as older Windows programs save.
 */

export type DecodedText =
  | { readonly ok: true; readonly text: string }
  /** `byte`: the place of a byte that no text has. */
  | { readonly ok: false; readonly byte: number };

/** Bytes looked at for the noughts that tell UTF-16 without a mark at its start. */
const LOOKED_AT = 400;

/** @param utf8 the platform's decoder; undefined where the bytes are not UTF-8 */
export function decodeText(bytes: Uint8Array, utf8: (bytes: Uint8Array) => string | undefined): DecodedText {
  const isLittle = utf16Order(bytes);
  if (isLittle !== undefined) return { ok: true, text: fromUtf16(bytes, isLittle).replace(/^\uFEFF/, '') };
  const nought = bytes.indexOf(0);
  if (nought >= 0) return { ok: false, byte: nought };
  return { ok: true, text: utf8(bytes) ?? fromLatin(bytes) };
}

/** Whether the low byte of a letter comes first; undefined where it is not UTF-16. */
function utf16Order(bytes: Uint8Array): boolean | undefined {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return true;
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return false;
  const looked = Math.min(LOOKED_AT, bytes.length - (bytes.length % 2));
  let [even, odd] = [0, 0];
  for (let i = 0; i < looked; i += 2) {
    if (bytes[i] === 0) even += 1;
    if (bytes[i + 1] === 0) odd += 1;
  }
  // nearly every letter of a table is a figure or a plain letter, with a nought beside it
  const most = 0.4 * looked;
  return odd > most && even === 0 ? true : even > most && odd === 0 ? false : undefined;
}

function fromUtf16(bytes: Uint8Array, isLittle: boolean): string {
  const letters: string[] = [];
  for (let i = 0; i + 1 < bytes.length; i += 2) {
    const [first, second] = [bytes[i] ?? 0, bytes[i + 1] ?? 0];
    letters.push(String.fromCharCode(isLittle ? first + 256 * second : 256 * first + second));
  }
  return letters.join('');
}

function fromLatin(bytes: Uint8Array): string {
  const letters: string[] = [];
  for (const byte of bytes) letters.push(String.fromCharCode(byte));
  return letters.join('');
}
