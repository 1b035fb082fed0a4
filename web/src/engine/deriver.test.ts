import { describe, expect, it } from 'vitest';
import { applyEdits, demoProject, type Project } from '@kalotrope/core/project';
import { applyChanges, changesBetween, type Changes } from './changes';
import { createDeriver, type DeriveWorker } from './deriver';
import { pack } from './packing';
import type { WorkerAnswer } from './worker';

type Packed = ReturnType<typeof pack>;
type Answer = WorkerAnswer<Packed>;

/** Stands for working out: as much of a result as shows which project it is of. */
const workedOut = ({ id, panels }: Project) => ({
  id,
  panels: { value: { thickness: panels.thickness, edges: [1, 2] } },
});

/** Workers that work here and now; `answers` in their order replace what they would have said. */
function workers(...answers: ((honest: () => Answer) => Answer | Promise<Answer>)[]) {
  const seen = { started: 0, ended: 0, asked: 0, whole: 0 };
  const start = (): DeriveWorker => {
    seen.started += 1;
    let input: unknown;
    let result: unknown;
    const target = new EventTarget();
    const honest = (changes: Changes): Answer => {
      input = applyChanges(input, changes);
      const next = workedOut(input as Project);
      const packed = pack(changesBetween(result, next));
      result = next;
      return { kind: 'ok', value: packed };
    };
    return {
      worker: {
        addEventListener: target.addEventListener.bind(target),
        removeEventListener: target.removeEventListener.bind(target),
        terminate: () => void (seen.ended += 1),
      },
      api: {
        derive: async (changes) => {
          seen.asked += 1;
          if (changes.kind === 'new') seen.whole += 1;
          const say = answers.shift();
          return say ? say(() => honest(changes)) : honest(changes);
        },
      },
    };
  };
  return { start, seen };
}

const first = demoProject('tamsel', 'asked');
function changed(thickness: number): Project {
  const made = applyEdits(first, [{ path: ['panels', 'thickness'], value: thickness }]);
  if (!made.ok) throw new Error(made.reason);
  return made.project;
}

describe('working out asked of a worker', () => {
  it('sends the whole project once, then what changed, and the answers are those of the whole', async () => {
    const { start, seen } = workers();
    const derive = createDeriver(start);
    for (const project of [first, changed(7), first]) {
      const answer = await derive(project);
      expect(answer.kind === 'ok' && answer.value).toEqual(workedOut(project));
    }
    expect(seen).toEqual({ started: 1, ended: 0, asked: 3, whole: 1 });
  });

  it.each<[string, (honest: () => Answer) => Answer | Promise<Answer>]>([
    ['does not get across', () => Promise.reject(new Error('cannot be cloned'))],
    ['is not to be read', () => ({ kind: 'ok', value: { figures: new Float64Array([99]), words: [], keys: [] } })],
    ['is made from another result', () => ({ kind: 'ok', value: pack({ kind: 'list', items: [{ kind: 'new' }] }) })],
    [
      'is lost though the worker thinks it given',
      (honest) => {
        honest();
        throw new Error('lost on the way');
      },
    ],
  ])('starts again when an answer %s, and later answers are right', async (_name, wrong) => {
    for (const before of [0, 1]) {
      const { start, seen } = workers(
        ...Array.from({ length: before }, () => (honest: () => Answer) => honest()),
        wrong,
      );
      const derive = createDeriver(start);
      if (before === 1) await derive(first);
      const answer = await derive(changed(7));
      expect(answer.kind === 'ok' && answer.value).toEqual(workedOut(changed(7)));
      expect(answer).toHaveProperty('restarted');
      const next = await derive(changed(8));
      expect(next.kind === 'ok' && next.value).toEqual(workedOut(changed(8)));
      expect(next).not.toHaveProperty('restarted');
      expect(seen).toMatchObject({ started: 2, ended: 1, whole: 2 });
    }
  });

  it('says why when the second worker fails too, and the next change is worked out all the same', async () => {
    const broken = () => Promise.reject(new Error('no memory'));
    const { start } = workers(broken, broken);
    const derive = createDeriver(start);
    expect(await derive(first)).toEqual({ kind: 'failed', message: 'the worker stopped twice: no memory' });
    expect((await derive(changed(7))).kind).toBe('ok');
  });

  it('says what working out itself could not, and goes on with the same worker', async () => {
    const { start, seen } = workers(() => ({ kind: 'failed', message: 'RangeError: too deep' }));
    const derive = createDeriver(start);
    expect(await derive(first)).toEqual({ kind: 'failed', message: 'RangeError: too deep' });
    expect(seen.started).toBe(1);
  });

  it('works out only the newest of those that came while it was busy', async () => {
    const { start, seen } = workers();
    const derive = createDeriver(start);
    const begun = derive(first);
    await Promise.resolve();
    const answers = await Promise.all([begun, ...[7, 8, 9].map((mm) => derive(changed(mm)))]);
    expect(answers.map(({ kind }) => kind)).toEqual(['ok', 'cancelled', 'cancelled', 'ok']);
    expect(seen.asked).toBe(2);
  });

  it('ends what is worked out of one boat when another is opened', async () => {
    const { start, seen } = workers(() => new Promise<never>(() => undefined));
    const derive = createDeriver(start);
    const waiting = derive(first);
    await Promise.resolve();
    const other = derive({ ...first, id: 'another' });
    expect((await waiting).kind).toBe('cancelled');
    expect((await other).kind).toBe('ok');
    expect(seen).toMatchObject({ started: 2, ended: 1 });
  });

  it('takes a worker that never answers for lost', async () => {
    const { start, seen } = workers(() => new Promise<never>(() => undefined));
    const answer = await createDeriver(start, 50)(first);
    expect(answer).toMatchObject({ kind: 'ok', restarted: 'no answer in 0 s' });
    expect(seen.ended).toBe(1);
  });
});
