import { describe, expect, it } from 'vitest';
import { sheetsOfStage, createDerive, demoProject, DEMO_IDS, wholeOf } from '../project';
import { insideAtFirst } from './schema';

const derive = createDerive();
const sheetsIn = (project: ReturnType<typeof demoProject>) =>
  sheetsOfStage('fitout', wholeOf(project, derive(project), {}));
const arranged = (project: ReturnType<typeof demoProject>) =>
  sheetsIn(project).find(({ name }) => name === 'arrangement-sheet');

describe.each(DEMO_IDS)('the arrangement of %s on paper', (id) => {
  const project = demoProject(id, 'x');
  const { fitout } = derive(project);
  const sheet = arranged(project);
  it('has every part, everybody and the whole length; of a boat with nothing in it there is none', () => {
    const { all, people, lengths } = fitout.value;
    if (all.length + people.length === 0) return expect(sheet).toBeUndefined();
    const texts = sheet!.pages.flatMap((page) => page.texts.map(({ text }) => text));
    for (const { pieces } of all) for (const { name } of pieces) expect(texts).toContain(name);
    for (const { name } of people) expect(texts).toContain(name);
    expect(texts.filter((text) => text === 'clear')).toHaveLength(
      lengths.stretches.filter(({ kind }) => kind === 'space').length,
    );
    expect(texts).toContain('in all');
    expect(arranged({ ...project, fitout: insideAtFirst() })).toBeUndefined();
  });
});
