/** The builder's own copy of a project, with its pictures in it; or with all that is kept beside it. */
import { projectFileName } from '@kalotrope/core/exchange';
import type { Project } from '@kalotrope/core/project';
import { recordsOf } from '../storage/log';
import { revisionsOf } from '../storage/revisions';
import { saveFile } from './files';
import { projectFileWithPictures } from './pictures';

export async function saveProjectFile(project: Project): Promise<void> {
  saveFile({ name: projectFileName(project), content: await projectFileWithPictures(project) });
}

/** With all that is kept beside it. */
export async function wholeProjectFile(project: Project): Promise<string> {
  const [done, revisions] = await Promise.all([recordsOf(project.id), revisionsOf(project.id)]);
  return projectFileWithPictures(project, { done, revisions });
}

export async function saveWholeProject(project: Project): Promise<void> {
  saveFile({ name: projectFileName(project), content: await wholeProjectFile(project) });
}
