/** What the core uses of jspdf: its own types ask for the browser's, which the core must not see. */
declare module 'jspdf' {
  export type PdfOptions = {
    readonly unit: 'mm';
    readonly format: readonly [number, number];
    readonly orientation: 'portrait' | 'landscape';
    readonly userUnit?: number;
    readonly compress?: boolean;
  };
  export class jsPDF {
    constructor(options: PdfOptions);
    addPage(format: readonly [number, number], orientation: 'portrait' | 'landscape'): this;
    setFont(family: string, style: 'normal' | 'bold'): this;
    setFontSize(points: number): this;
    setTextColor(colour: string): this;
    setDrawColor(colour: string): this;
    setFillColor(colour: string): this;
    setLineWidth(mm: number): this;
    setLineDashPattern(dashes: readonly number[], phase: number): this;
    text(
      text: string,
      x: number,
      y: number,
      options?: { readonly angle?: number; readonly align?: 'left' | 'center' | 'right' },
    ): this;
    moveTo(x: number, y: number): this;
    lineTo(x: number, y: number): this;
    close(): this;
    stroke(): this;
    fill(): this;
    rect(x: number, y: number, width: number, height: number, style?: 'S' | 'F' | null): this;
    clip(): this;
    discardPath(): this;
    saveGraphicsState(): this;
    restoreGraphicsState(): this;
    link(x: number, y: number, width: number, height: number, options: { readonly pageNumber: number }): void;
    /** The reader's list of titles; `parent` is what another `add` gave, or null. */
    readonly outline: { add(parent: unknown, title: string, options: { readonly pageNumber: number }): unknown };
    setProperties(properties: { readonly title?: string; readonly creator?: string }): this;
    setCreationDate(date: string): this;
    setFileId(id: string): this;
    /** In letters of height one. */
    getStringUnitWidth(text: string): number;
    output(kind: 'arraybuffer'): ArrayBuffer;
  }
}
