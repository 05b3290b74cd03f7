// The recordings' library asks for its own address, which the bundler gives the page and not a worker.
const scope = globalThis as unknown as { __ExpoImportMetaRegistry?: { url: string } };
scope.__ExpoImportMetaRegistry ??= { url: self.location.href };

export {};
