/** What Jest gives a test file, for tests that are bundled and run by Node alone. */
export { expect } from 'expect';
export { describe, it } from 'node:test';
