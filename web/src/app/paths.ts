/** Addresses within the application. */
import type { StageName } from '@kalotrope/core/project';

export const PROJECTS_PATH = '/projects';
/** A project, at its first stage. */
export const projectPath = (projectId: string): string => `/project/${projectId}`;
export const stagePath = (projectId: string, stage: StageName): string => `${projectPath(projectId)}/${stage}`;
/** What is done in the shop: all of it, or one task by its stage and id. */
export const shopPath = (projectId: string, task?: string): string =>
  `${projectPath(projectId)}/shop${task === undefined ? '' : `?task=${encodeURIComponent(task)}`}`;
