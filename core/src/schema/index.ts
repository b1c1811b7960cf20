export * from './machine.ts';
export * from './job.ts';
export * from './house.ts';
export * from './file.ts';
