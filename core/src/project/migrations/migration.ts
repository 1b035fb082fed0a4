/** Plain parsed JSON of a project, of whatever version. */
export type Json = Readonly<Record<string, unknown>>;

/** Takes a document of one version to the next; it may rely on nothing but what that version held. */
export type Migration = (before: Json) => Json;
