/** A picture dropped on another place, until the page for it takes it. */
let handed: File | null = null;

export const handPicture = (file: File): void => {
  handed = file;
};

/** The picture that was handed over, once. */
export function takeHandedPicture(): File | null {
  const file = handed;
  handed = null;
  return file;
}
