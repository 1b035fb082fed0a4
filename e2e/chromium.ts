/**
 * How the browser of the tests is started: Debian's Chromium, no display, all drawing by the processor, no calls
 * home.
 */
export const CHROMIUM = {
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
    '--disable-quic',
    '--disable-gpu-compositing',
  ],
};
