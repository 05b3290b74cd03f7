// One door to the library of charts: parts that are loaded late and share a library would load it at the start.
export { BiteChart } from './BiteChart';
export { MarginChart } from './MarginChart';
export { ProgressChart } from './ProgressChart';
export { TraceChart } from './TraceChart';
