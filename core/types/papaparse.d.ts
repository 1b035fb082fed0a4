/** What the core uses of papaparse: its own types ask for Node's and the browser's, which the core must not see. */
declare module 'papaparse' {
  export function parse(
    text: string,
    config: { skipEmptyLines: false; delimiter?: string; delimitersToGuess?: string[] },
  ): {
    data: string[][];
    errors: { type: string; code: string; message: string; row?: number }[];
  };
  export function unparse(rows: readonly (readonly (string | number)[])[], config?: { newline?: string }): string;
  const Papa: { parse: typeof parse; unparse: typeof unparse };
  export default Papa;
}
