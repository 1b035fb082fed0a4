import { describe, expect, it } from 'vitest';
import { area, distance3 } from '../geometry';
import { placeOn } from '../panels';
import { createDerive, demoProject } from '../project';
import { planJoints } from './joint';
import { jointsAtFirst } from './schema';

const derived = createDerive()(demoProject('tamsel', 'x'));
const { panels } = derived.panels.value;
const frames = derived.frames.value.frames;
const plan = (length: number, clearOfFrames = 75) =>
  planJoints(panels, {
    frames,
    thickness: 6,
    sheet: { width: length, height: 1220, margin: 8 },
    part: { ...jointsAtFirst('mm'), clearOfFrames },
  });

describe('planJoints', () => {
  it.each([2440, 1830, 1500, 5000])(
    'uses the fewest sheets of %i mm that the scarfs allow, and no piece is too long',
    (length) => {
      for (const panel of plan(length).value) {
        const usable = length - 16;
        const fewest = Math.max(1, Math.ceil((panel.length - 48) / (usable - 48)));
        expect(panel.pieces).toHaveLength(fewest);
        for (const piece of panel.pieces) {
          const us = piece.outline.map((p) => p[0]);
          expect(Math.max(...us) - Math.min(...us)).toBeLessThanOrEqual(usable + 1e-3);
        }
      }
    },
  );
  it('cuts pieces that overlap by the scarf: their areas exceed the panel by it', () => {
    plan(2440).value.forEach((panel, k) => {
      const pieces = panel.pieces.reduce((sum, piece) => sum + area(piece.outline), 0);
      const scarfs = panel.joints.reduce((sum, joint) => sum + joint.depth * joint.lap, 0);
      // the edges run nearly straight through a scarf of 48 mm
      expect(Math.abs(pieces - scarfs - (panels[k]?.areaM2 ?? 0) * 1e6)).toBeLessThan(20);
    });
  });
  it('keeps clear of frames and staggers on the demo, with nothing to say', () => {
    expect(plan(2440).findings).toEqual([]);
  });
  it.each(['tamsel', 'orrin', 'veyra'] as const)(
    '%s: joints of neighbours are apart on the boat, or it is said',
    (id) => {
      const { panels: own, joints } = createDerive()(demoProject(id, 'x'));
      const told = joints.findings.filter(({ code }) => code === 'joint-not-staggered').length;
      const close = joints.value.flatMap((upper, i) => {
        const lower = joints.value[i - 1];
        if (!lower) return [];
        const [below, above] = [own.value.panels[i - 1]!, own.value.panels[i]!];
        return upper.joints.filter((joint) =>
          lower.joints.some((mate) => {
            // a hair within the edges: on the hull, the ends of both joints at the seam
            const a = placeOn(below, [mate.u, mate.high - 1]);
            const b = placeOn(above, [joint.u, joint.low + 1]);
            return !a || !b || distance3(a, b) < 290;
          }),
        );
      });
      expect(close).toHaveLength(told);
    },
  );
  it('does not try to join from sheets shorter than their scarfs', () => {
    const { value, findings } = plan(100);
    expect(findings.map((finding) => finding.code)).toContain('sheet-too-short');
    expect(value.every((panel) => panel.pieces.length === 1)).toBe(true);
  });
  it('says which frame stands on a scarf, though no distance to frames is asked for', () => {
    // one frame everywhere that a joint of the bottom can be: thicker than its sheets have to spare
    const [bottom] = plan(2440).value;
    const u = bottom!.joints[0]!.u;
    const x = u / 0.98; // the bottom lies nearly along the boat
    const wide = { ...frames[0]!, id: 'wide', name: 'Wide', x: x - 900, width: 1800, face: 'fore' as const };
    const { findings } = planJoints(panels, {
      frames: [wide],
      thickness: 6,
      sheet: { width: 2440, height: 1220, margin: 8 },
      part: { ...jointsAtFirst('mm'), clearOfFrames: 0, stagger: 0 },
    });
    expect(findings).toContainEqual(
      expect.objectContaining({
        severity: 'stop',
        code: 'frame-in-joint',
        data: expect.objectContaining({ frame: 'Wide' }) as unknown,
      }),
    );
  });
  it('says which wish could not be met', () => {
    expect(plan(2440, 480).findings.map((finding) => finding.code)).toContain('joint-near-frame');
  });
});
