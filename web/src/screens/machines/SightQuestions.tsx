import { Picture } from '../../trailMap/Picture.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { ANSWERS, answersOf, kindOf, optionsAfter, questionAfter, type Answer, type Kind } from './sight.ts';

interface Props {
  fit: Kind;
  onChange: (kind: ReturnType<typeof kindOf>) => void;
}

/** The kind of trail by what one sees: each answer leads to the next question, all of them stay open to change. */
export function SightQuestions({ fit, onChange }: Props) {
  const answers = answersOf(fit);
  return (
    <div className="grid gap-4">
      {answers.map((answer, depth) => {
        const before = answers.slice(0, depth);
        return (
          <Choice
            key={depth}
            label={questionAfter(before)}
            value={answer}
            options={optionsAfter(before).map((a: Answer) => ({
              value: a,
              label: ANSWERS[a].label,
              ...(ANSWERS[a].help ? { help: ANSWERS[a].help } : {}),
              icon: <Picture name={ANSWERS[a].picture} className="size-9 shrink-0" />,
            }))}
            onChange={(a) => onChange(kindOf([...before, a]))}
          />
        );
      })}
    </div>
  );
}
