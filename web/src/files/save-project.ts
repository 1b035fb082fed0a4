/** The builder's own copy of a project, with its pictures in it, and its log where that is asked for. */
import { projectFileName } from '@kalotrope/core/exchange';
import type { LogRecords } from '@kalotrope/core/log';
import type { Project } from '@kalotrope/core/project';
import { saveFile } from './files';
import { projectFileWithPictures } from './pictures';

export async function saveProjectFile(project: Project, done?: LogRecords): Promise<void> {
  saveFile({ name: projectFileName(project), content: await projectFileWithPictures(project, done) });
}
