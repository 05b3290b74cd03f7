// One door to all that brings the libraries of XML and of tables along: parts that are loaded late and share a library would load it at the start.
export * from './dayFiles';
export * from './findingsFile';
export * from './gpx';
