jest.mock('@react-native-async-storage/async-storage', () =>
  require('@react-native-async-storage/async-storage/jest'),
);
// A channel between tabs keeps the test process alive; tests bring their own.
delete globalThis.BroadcastChannel;
