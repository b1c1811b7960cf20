/** Stages of a job in the order of the work; apart from the schemas, so that a screen need not load them. */
export const STAGES = ['complaint', 'look', 'trace', 'repair', 'set up', 'prove', 'closed'] as const;
