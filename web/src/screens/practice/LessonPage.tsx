import { useParams } from 'react-router';
import { useLesson } from '../../api/practice.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Failed, Loading } from '../../ui/States.tsx';
import { ReviewView } from './ReviewView.tsx';
import { WorkView } from './WorkView.tsx';

/** One lesson: the work on it, and once it is over how it went. */
export function LessonPage() {
  const { id } = useParams();
  const lesson = useLesson(id);
  usePageTitle(lesson.data ? `Practice: ${lesson.data.lesson.machine.name}` : 'Practice');
  if (lesson.error && !lesson.data) return <Failed error={lesson.error} retry={() => void lesson.mutate()} />;
  if (!lesson.data) return <Loading what="Opening the lesson" />;
  return lesson.data.view.over ? (
    <ReviewView stored={lesson.data} />
  ) : (
    <WorkView key={lesson.data.id} stored={lesson.data} />
  );
}
