/** At most so many of a list, spread evenly over it. */
export const spreadEvenly = <T>(all: readonly T[], most: number): readonly T[] =>
  all.length <= most
    ? all
    : Array.from({ length: most }, (_, k) => all[Math.floor((k * all.length) / most)]!);
