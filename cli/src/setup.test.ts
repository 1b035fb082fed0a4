import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import { run } from './run';

const folder = mkdtempSync(join(tmpdir(), 'kalo-setup-'));
afterAll(() => rmSync(folder, { recursive: true }));

function kalo(data: unknown, ...options: string[]) {
  const file = join(folder, 'job.json');
  writeFileSync(file, JSON.stringify(data));
  let [out, err] = ['', ''];
  const io = { out: (text: string) => (out += text), err: (text: string) => (err += text), now: () => 0 };
  return { status: run(['setup', file, ...options], io), stdout: out, stderr: err };
}

const frame = { name: '3', centre: [1800, 0, 500], port: [1800, -600, 420], starboard: [1800, 600, 420] };
const job = {
  tolerance: 2,
  frames: [{ ...frame, foot: [1800, 0, 0] }],
  readings: [
    { frame: '3', kind: 'height', of: 'port', value: 428 },
    { frame: '3', kind: 'height', of: 'starboard', value: 428 },
    { frame: '3', kind: 'height', of: 'centre', value: 508 },
    { frame: '3', kind: 'offset', of: 'centre', value: 'true' },
    { frame: '3', kind: 'plumb', value: 'true' },
  ],
};

it('kalo setup answers with the keys of the contract: a frame 8 mm high, and what was not measured', () => {
  const { stdout, status } = kalo(job, '--json');
  expect(status).toBe(0);
  const { frames } = JSON.parse(stdout) as { frames: { moved: { z: number } }[] };
  expect(Object.keys(frames[0] ?? {})).toEqual(['name', 'cause', 'moved', 'unknown', 'worst', 'say']);
  expect(frames).toMatchObject([{ name: '3', cause: 'high', unknown: ['x', 'yawDeg'] }]);
  expect(frames[0]?.moved.z).toBeCloseTo(8, 6);
});
it('refuses in one line a reading of a frame that is not there', () => {
  const { stderr, status, stdout } = kalo({ ...job, readings: [{ frame: '4', kind: 'plumb', value: 0 }] });
  expect([status, stdout]).toEqual([2, '']);
  expect(stderr).toMatch(/readings.0: frame "4" is not there; expected one of 3\n$/);
});
