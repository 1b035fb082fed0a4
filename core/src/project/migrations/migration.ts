/** Plain parsed JSON of a project, of whatever version. */
export type Json = Readonly<Record<string, unknown>>;

/** Takes a document of one version to the next; it may rely on nothing but what that version held. */
export type Migration = (before: Json) => Json;

/** Each thing of a list changed; what is no list, or no thing, is left for the reader to refuse. */
export const eachOf = (list: unknown, change: (one: Json) => Json): unknown =>
  Array.isArray(list)
    ? list.map((one: unknown) => (typeof one === 'object' && one !== null ? change(one as Json) : one))
    : list;
