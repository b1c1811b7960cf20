import type { Scene } from '../machine/scene.ts';
import type { Complaint } from '../schema/job.ts';
import { SYMPTOMS, type SymptomId, type TrailName } from '../schema/symptoms.ts';
import { HARDLY, symptom } from './symptoms/index.ts';

/** One symptom or two. */
export const saidOf = ({ symptom: one, also }: Complaint): readonly SymptomId[] =>
  also && also !== one ? [one, also] : [one];

/** A complaint of each of its symptoms by itself. */
export function eachSymptom(complaint: Complaint): Complaint[] {
  const { also: _second, ...one } = complaint;
  return saidOf(complaint).map((symptom) => ({ ...one, symptom }));
}

const isMomentary = ({ pattern }: Complaint): boolean => pattern === 'now-and-then';
/** Names what is complained of; complaints with the same name are as likely as one another. */
export const complaintKey = (complaint: Complaint): string =>
  saidOf(complaint)
    .map((id) => (isMomentary(complaint) && symptom(id).momentary ? `${id}, for moments` : id))
    .join('+');

/** One of each that may be as likely as no other: every symptom, lasting and, where that is another thing, for moments. */
export const everyComplaint = (): Complaint[] =>
  SYMPTOMS.flatMap((id) =>
    (['constant', 'now-and-then'] as const)
      .filter((pattern) => pattern === 'constant' || symptom(id).momentary)
      .map((pattern) => ({ symptom: id, pattern, words: '', since: '', before: '' })),
  );

/** Whether the engine stands, whatever is done: what is asked of it as it runs cannot be asked. */
export const stands = (complaint: Complaint): boolean => saidOf(complaint).some((id) => symptom(id).stands);

/** p(complaint | this machine): the complaint is the first reading, predicted by the same model as every other. */
export const complaintLikelihood = (scene: Scene, complaint: Complaint): number =>
  saidOf(complaint).reduce((p, id) => {
    const { likelihood, momentary } = symptom(id);
    return p * (isMomentary(complaint) && momentary ? momentary : likelihood)(scene);
  }, 1);

/** p(complaint | something is wrong on a trail that nobody has told). */
export const complaintElsewhere = (complaint: Complaint, trail: TrailName): number =>
  saidOf(complaint).reduce((p, id) => p * (symptom(id).elsewhere[trail] ?? HARDLY), 1);
