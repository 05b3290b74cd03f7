import type { FileKeeper } from './files';

/** The app's own files, loaded when the first is opened or asked for. */
export const loadFiles = async (): Promise<FileKeeper> => (await import('./files')).appFiles;
