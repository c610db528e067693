/** What names an element of a list: its id, in its course where it has one. */
function name(one: unknown): string | null {
  const { id, course } = (one ?? {}) as { id?: unknown; course?: unknown };
  return typeof id === "string" || typeof id === "number" ? `${String(course ?? "")}/${id}` : null;
}

/** The element of the old list that the n-th of the new one is to be compared with: the one of its name, else of its place. */
function counterparts(old: readonly unknown[]): (one: unknown, n: number) => unknown {
  const named = new Map<string, unknown>();
  old.forEach((one) => named.set(name(one) ?? "", one));
  return (one, n) => {
    const known = name(one);
    return known === null || name(old[n]) === known ? old[n] : named.get(known);
  };
}

function keptList(old: readonly unknown[], fresh: readonly unknown[]): readonly unknown[] {
  const was = counterparts(old);
  const now = fresh.map((one, n) => kept(was(one, n), one));
  return now.length === old.length && now.every((one, n) => one === old[n]) ? old : now;
}

function keptObject(old: Record<string, unknown>, fresh: Record<string, unknown>): Record<string, unknown> {
  const keys = Object.keys(fresh);
  const now = Object.fromEntries(keys.map((key) => [key, kept(old[key], fresh[key])]));
  return keys.length === Object.keys(old).length && keys.every((key) => key in old && now[key] === old[key])
    ? old
    : now;
}

/**
 * What was answered anew, in which every part that says the same as before is the same object as before, so that nobody draws it
 * again.
 */
export function kept<T>(old: unknown, fresh: T): T {
  if (old === fresh || typeof old !== "object" || typeof fresh !== "object" || !old || !fresh) return fresh;
  if (Array.isArray(old) || Array.isArray(fresh))
    return (Array.isArray(old) && Array.isArray(fresh) ? keptList(old, fresh) : fresh) as T;
  return keptObject(old as Record<string, unknown>, fresh as Record<string, unknown>) as T;
}
