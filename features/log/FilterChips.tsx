import { Chips } from '@/ui';

interface Props<T extends string | number> {
  label: string;
  /** What all of them together are called. */
  all: string;
  /** Null for all. */
  value: T | null;
  choices: readonly T[];
  words: (choice: T) => string;
  onChange: (value: T | null) => void;
}

/** One of several to count, or all; nothing where there is no choice. */
export function FilterChips<T extends string | number>({
  label,
  all,
  value,
  choices,
  words,
  onChange,
}: Props<T>) {
  if (choices.length < 2) return null;
  return (
    <Chips
      label={label}
      value={value === null ? '' : String(value)}
      options={[
        { value: '', label: all },
        ...choices.map((choice) => ({ value: String(choice), label: words(choice) })),
      ]}
      onChange={(name) => onChange(choices.find((choice) => String(choice) === name) ?? null)}
    />
  );
}
