interface Named {
  id: string;
  name: string;
}

/** Named things with others put in, by name in order; those of an id there is take its place. */
export function putByName<T extends Named>(kept: readonly T[], more: readonly T[]): T[] {
  const ids = new Set(more.map((k) => k.id));
  return [...kept.filter((k) => !ids.has(k.id)), ...more].sort((a, b) => a.name.localeCompare(b.name));
}
