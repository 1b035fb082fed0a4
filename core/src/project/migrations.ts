/**
 * Brings older documents up to the present version, one numbered step a version, without gaps.
 *
 * A step takes the plain parsed JSON of version n and gives that of n + 1; it may rely on nothing but what that version
 * held. A frozen file of every old version is kept beside the test.
 */
import { PROJECT_FORMAT, PROJECT_VERSION, projectSchema, type Project } from './document';

type Json = Readonly<Record<string, unknown>>;

/** Index 0 takes version 1 to 2, and so on. */
const STEPS: readonly ((before: Json) => Json)[] = [
  // 1 → 2: edges were always filleted before; the choice became a setting, and frames got their gap
  (before) => ({
    ...before,
    version: 2,
    school: 'filleted',
    frames: { ...(before['frames'] as Json | undefined), filletGap: 1.5 },
  }),
  // 2 → 3: the lines got a datum for heights, a tolerance for fairing, and the drawing they were taken from
  (before) => ({
    ...before,
    version: 3,
    lines: {
      ...(before['lines'] as Json | undefined),
      heightsFrom: null,
      fairingTolerance: 3,
      drawing: { scale: 10, pencil: 0.5 },
      underlays: [],
    },
  }),
  // 3 → 4: panels got a thickness that moves what is cut, stitches, a base line to mark out from and a waterline
  (before) => ({
    ...before,
    version: 4,
    panels: {
      ...(before['panels'] as Json | undefined),
      markingBase: 'under',
      linesTo: 'outside',
      meeting: 'stitched',
      stitches: { spacing: 150, inset: 9 },
      waterline: null,
    },
  }),
  // 4 → 5: a revision; rounded chines, panels split along a line drawn on them, transoms bent athwart
  (before) => ({
    ...before,
    version: 5,
    revision: 1,
    panels: { ...(before['panels'] as Json | undefined), roundedChines: [], splits: [], transomRadius: null },
  }),
];

export type ReadProject =
  | { readonly ok: true; readonly project: Project; readonly fromVersion: number }
  | { readonly ok: false; readonly problems: readonly string[] };

/** Any parsed JSON into a valid project, or all that is wrong with it. Never throws. */
export function readProject(data: unknown): ReadProject {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return {
      ok: false,
      problems: ['This is not a Kalotrope project: expected an object with "format" and "version".'],
    };
  const raw = data as Json; // a non-null object: checked above
  if (raw['format'] !== PROJECT_FORMAT)
    return {
      ok: false,
      problems: [`This is not a Kalotrope project: "format" is ${show(raw['format'])}, expected "${PROJECT_FORMAT}".`],
    };
  const version = raw['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return {
      ok: false,
      problems: [`"version" is ${show(version)}; expected a whole number from 1 to ${PROJECT_VERSION}.`],
    };
  if (version > PROJECT_VERSION)
    return {
      ok: false,
      problems: [
        `This project was saved by a later Kalotrope (version ${version}; this one reads up to ${PROJECT_VERSION}).`,
      ],
    };
  const migrated = STEPS.slice(version - 1).reduce((json, step) => step(json), raw);
  const parsed = projectSchema.safeParse(migrated);
  if (parsed.success) return { ok: true, project: parsed.data, fromVersion: version };
  return {
    ok: false,
    problems: parsed.error.issues.slice(0, 20).map((issue) => `${issue.path.join('.') || 'project'}: ${issue.message}`),
  };
}

function show(value: unknown): string {
  return value === undefined ? 'missing' : (JSON.stringify(value) ?? 'not readable').slice(0, 40);
}
