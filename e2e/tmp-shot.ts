import { chromium } from '@playwright/test';
import { CHROMIUM } from './chromium';
const b = await chromium.launch(CHROMIUM as never);
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
p.on('console', (m) => {
  if (m.type() === 'error') console.log('ERR', m.text());
});
p.on('pageerror', (e) => console.log('PAGEERR', e.message));
const step = (await import(process.argv[2]!)).default as (p: unknown) => Promise<void>;
await step(p);
await b.close();
