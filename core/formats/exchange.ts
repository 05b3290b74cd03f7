// One door to all that brings the libraries of XML, tables and zips along: parts that are loaded late and share a library would load it at the start.
export * from './backupFile';
export * from './dayFiles';
export * from './findingsFile';
export * from './gpx';
