/** What an edit takes along, as more edits: see the stages' `follow`. */
import type { Edit } from '../findings';
import type { Project } from './document';
import { followEdits } from './edits';

/** The edits, and after them those that keep together what belongs together; unchanged where they cannot be made. */
export const withFollowing = (project: Project, edits: readonly Edit[]): readonly Edit[] =>
  followEdits(project, edits).edits;
