import { writeFileSync } from 'node:fs';
import { madeDocs } from './docs';

for (const [name, text] of Object.entries(madeDocs()))
  writeFileSync(new URL(`../../docs/${name}`, import.meta.url), text);
