/** A name none of others has: numbered where it is taken. */
export function freeName(name: string, others: readonly { name: string }[]): string {
  const taken = new Set(others.map((o) => o.name));
  if (!taken.has(name)) return name;
  let n = 2;
  while (taken.has(`${name} ${n}`)) n++;
  return `${name} ${n}`;
}
