/** What a schema found wrong, in plain words: for files whose fields have no names on screen. */
import type { z } from 'zod';

const KINDS: Readonly<Record<string, string>> = {
  number: 'a number',
  string: 'words',
  boolean: 'true or false',
  array: 'a list',
  object: 'a group of fields',
  int: 'a whole number',
  tuple: 'two figures, x and y',
};

/** A limit that nobody set: the largest whole number there is. */
const UNBOUNDED = Number.MAX_SAFE_INTEGER;

/** "expected a number", "expected 3 at least". */
export function issueWords(issue: z.core.$ZodIssue): string {
  const unit = 'origin' in issue && issue.origin === 'array' ? ' in the list' : '';
  switch (issue.code) {
    case 'invalid_type':
      return `expected ${KINDS[issue.expected] ?? issue.expected}`;
    case 'too_small':
      return issue.inclusive === false
        ? `expected more than ${String(issue.minimum)}${unit}`
        : `expected ${String(issue.minimum)}${unit} at least`;
    case 'too_big':
      return Number(issue.maximum) >= UNBOUNDED
        ? 'expected a smaller number'
        : `expected ${String(issue.maximum)}${unit} at most`;
    case 'invalid_value':
      return `expected one of ${issue.values.map(String).join(', ')}`;
    default:
      return issue.code === 'custom' || issue.message.length > 0 ? issue.message : 'not as it should be';
  }
}

/** The first thing that a schema found wrong with a file, with where it is. */
export function firstProblem({ issues }: z.ZodError): string {
  const [issue] = issues;
  const place = (issue?.path ?? []).map(String).join('.') || 'the job';
  return `${place}: ${issue ? issueWords(issue) : 'not valid'}`;
}
