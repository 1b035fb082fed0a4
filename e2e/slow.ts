/** A page that reads pictures slowly, as a telephone does a large photograph. */
import type { Page } from '@playwright/test';

/** From now on no picture is read until what is answered here is called. */
export async function slowPictures(page: Page): Promise<() => Promise<void>> {
  await page.evaluate(() => {
    const own = window.createImageBitmap.bind(window);
    const gate = new Promise<void>((resolve) => window.addEventListener('pictures', () => resolve(), { once: true }));
    // the one form of it that the page uses
    window.createImageBitmap = ((image: Blob) => gate.then(() => own(image))) as typeof window.createImageBitmap;
  });
  return () => page.evaluate(() => void window.dispatchEvent(new Event('pictures')));
}
