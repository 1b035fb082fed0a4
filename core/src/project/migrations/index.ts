/** One step a version, without gaps: the first takes version 1 to 2. A frozen file of every old version is kept. */
import { from1To2 } from './1-to-2';
import { from2To3 } from './2-to-3';
import { from3To4 } from './3-to-4';
import { from4To5 } from './4-to-5';
import { from5To6 } from './5-to-6';
import { from6To7 } from './6-to-7';
import { from7To8 } from './7-to-8';
import { from8To9 } from './8-to-9';
import { from9To10 } from './9-to-10';
import { from10To11 } from './10-to-11';
import { from11To12 } from './11-to-12';
import { from12To13 } from './12-to-13';
import { from13To14 } from './13-to-14';
import { from14To15 } from './14-to-15';
import { from15To16 } from './15-to-16';
import { from16To17 } from './16-to-17';
import { from17To18 } from './17-to-18';
import { from18To19 } from './18-to-19';
import { from19To20 } from './19-to-20';
import { from20To21 } from './20-to-21';
import { from21To22 } from './21-to-22';
import { from22To23 } from './22-to-23';
import { from23To24 } from './23-to-24';
import { from24To25 } from './24-to-25';
import { from25To26 } from './25-to-26';
import { from26To27 } from './26-to-27';
import type { Migration } from './migration';

export const MIGRATIONS: readonly Migration[] = [
  from1To2,
  from2To3,
  from3To4,
  from4To5,
  from5To6,
  from6To7,
  from7To8,
  from8To9,
  from9To10,
  from10To11,
  from11To12,
  from12To13,
  from13To14,
  from14To15,
  from15To16,
  from16To17,
  from17To18,
  from18To19,
  from19To20,
  from20To21,
  from21To22,
  from22To23,
  from23To24,
  from24To25,
  from25To26,
  from26To27,
];
