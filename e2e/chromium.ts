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

/** Without drawing in the round, for all that is not about it: the application says so in that place. */
export const FLAT_CHROMIUM = { ...CHROMIUM, args: [...CHROMIUM.args, '--disable-3d-apis'] };
