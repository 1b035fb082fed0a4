/**
 * The project document: what the builder decided, and nothing that can be worked out from it. Plain, versioned,
 * validated.
 */
import { z } from 'zod';
import { SCHOOLS } from '../frames';
import { NOTATIONS } from '../measure';
import { STAGES, type ChainStage, type Parts } from './chain';
import { MIGRATIONS } from './migrations/index';

export const PROJECT_FORMAT = 'kalotrope-project';
/** Every change of shape has a migration, which brings documents of one version to the next. */
export const PROJECT_VERSION = MIGRATIONS.length + 1;

const common = {
  format: z.literal(PROJECT_FORMAT),
  version: z.literal(PROJECT_VERSION),
  id: z.string().min(1).max(80),
  name: z.string().min(1).max(120),
  note: z.string().max(4000),
  /** Printed on all that is cut or drawn; raised by the builder when what follows is no longer what went before. */
  revision: z.number().int().min(1).max(9999),
  notation: z.enum(NOTATIONS),
  /** How edges are made: filleted and taped, or bevelled on timber. */
  school: z.enum(SCHOOLS),
};

type PartSchemas = { readonly [Name in keyof Parts]: z.ZodType<Parts[Name]> };
// the names and types of the list, as an object: fromEntries cannot say so
const parts = Object.fromEntries(STAGES.map(({ name, schema }) => [name, schema])) as unknown as PartSchemas;

export const projectSchema = z.object({ ...common, ...parts });

export type Project = z.infer<z.ZodObject<typeof common>> & Parts;

/** The list with what each stage needs: here it is checked that the chain has it all. */
export const CHAIN: readonly ChainStage<Project>[] = STAGES;
