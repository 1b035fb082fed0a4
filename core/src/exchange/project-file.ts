/** The builder's own copy of a project: JSON, readable, versioned. */
import { boatWord } from '../formats';
import { readProject, type Project, type ReadProject } from '../project';

const PROJECT_FILE_ENDING = '.kalotrope.json';

/** What the builder's own copy of a project is called. */
export const projectFileName = ({ name }: Pick<Project, 'name'>): string => `${boatWord(name)}${PROJECT_FILE_ENDING}`;

export const writeProjectFile = (project: Project): string => `${JSON.stringify(project, null, 2)}\n`;

/** Never throws; a file that is not JSON says where it stops being so. */
export function readProjectFile(text: string): ReadProject {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return { ok: false, problems: [`This is not a project file: ${why}. Expected JSON saved by Kalotrope.`] };
  }
  return readProject(data);
}
