/** The builder's own copy of a project, with its pictures in it. */
import { projectFileName } from '@kalotrope/core/exchange';
import type { Project } from '@kalotrope/core/project';
import { saveFile } from './files';
import { projectFileWithPictures } from './pictures';

export async function saveProjectFile(project: Project): Promise<void> {
  saveFile({ name: projectFileName(project), content: await projectFileWithPictures(project) });
}
