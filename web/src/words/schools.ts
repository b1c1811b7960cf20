import { SCHOOLS, type School } from '@pondu/core';

/** Ways to set a timing where practitioners disagree, each with its price. */
const SCHOOL: Readonly<Record<School, { label: string; help: string }>> = {
  book: { label: 'By the book', help: 'Safe for the fuel of its day; with today’s it may leave power behind.' },
  total: { label: 'By the total', help: 'Right where it works hard; the idle comes out as it comes.' },
  ear: { label: 'By ear', help: 'Suits this engine today; knock that nobody hears burns pistons.' },
};
export const schoolWords = (school: School): string => SCHOOL[school].label;
export const SCHOOL_OPTIONS = SCHOOLS.map((value) => ({ value, ...SCHOOL[value] }));
