/** What is half written in a form: kept when the page goes, until it is written down. */
const keyOf = (project: string): string => `kalotrope-draft-${project}`;

export function keepDraft(project: string, draft: unknown): void {
  try {
    if (draft === null) localStorage.removeItem(keyOf(project));
    else localStorage.setItem(keyOf(project), JSON.stringify(draft));
  } catch {
    // it stays in the form
  }
}

export function lastDraft(project: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(keyOf(project)) ?? 'null');
  } catch {
    return null;
  }
}
