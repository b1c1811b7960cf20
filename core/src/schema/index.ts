export * from './fitOut.ts';
export * from './symptoms.ts';
export * from './fit.ts';
export * from './machine.ts';
export * from './upgrade.ts';
export * from './job.ts';
export * from './house.ts';
export * from './file.ts';
