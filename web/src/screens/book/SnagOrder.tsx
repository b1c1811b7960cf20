import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';
import { Link } from 'react-router';
import type { OpenSnag } from '../../api/hooks.ts';
import type { StoredMachine } from '../../api/types.ts';
import { bySeverity } from '../job/SnagPanel.tsx';
import { useBookWrite } from './useBookWrite.ts';

/** As somebody put them; what nobody has placed follows by its weight. */
export function inOrder(snags: readonly OpenSnag[], order: readonly string[]): OpenSnag[] {
  const placed = order.flatMap((id) => snags.find((s) => s.id === id) ?? []);
  const rest = snags.filter((s) => !order.includes(s.id));
  const weighed = bySeverity(rest).flatMap((s) => rest.find((r) => r.id === s.id) ?? []);
  return [...placed, ...weighed];
}

/** Open snags in the order in which they are to be seen to: moved by dragging, or with the keyboard. */
export function SnagOrder({ stored, snags }: { stored: StoredMachine; snags: readonly OpenSnag[] }) {
  const { book, write } = useBookWrite(stored);
  const shown = inOrder(snags, book.snagOrder);
  const ids = shown.map((s) => s.id);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  function moved({ active, over }: DragEndEvent) {
    if (!over || over.id === active.id) return;
    void write({ snagOrder: arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))) });
  }
  const called = (id: UniqueIdentifier) => shown.find((s) => s.id === id)?.what ?? '';
  const place = (id: UniqueIdentifier | undefined) => `place ${ids.indexOf(String(id)) + 1} of ${ids.length}`;
  const told: Announcements = {
    onDragStart: ({ active }) => `Picked up ${called(active.id)}, ${place(active.id)}.`,
    onDragOver: ({ active, over }) => `${called(active.id)}: at ${place(over?.id)}.`,
    onDragEnd: ({ active, over }) => `${called(active.id)}: put down at ${place(over?.id)}.`,
    onDragCancel: ({ active }) => `${called(active.id)}: left where it was.`,
  };
  if (snags.length === 0) return null;
  return (
    <section className="card p-4" aria-label="Open snags">
      <h2 className="text-lg">Open snags</h2>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={moved}
        accessibility={{ announcements: told }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ul>
            {shown.map((s) => (
              <SnagRow key={s.id} snag={s} />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
    </section>
  );
}

function SnagRow({ snag }: { snag: OpenSnag }) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: snag.id });
  return (
    <li
      ref={setNodeRef}
      className="flex items-center gap-2 bg-panel"
      style={{ transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined, transition }}
    >
      <button
        type="button"
        className="no-print grid size-12 shrink-0 cursor-grab touch-none place-items-center rounded-lg"
        {...attributes}
        {...listeners}
        aria-label={`Move: ${snag.what}`}
      >
        <GripVertical aria-hidden className="size-5 text-soft" />
      </button>
      <span className="grow" translate="no">
        {snag.what}
      </span>
      <span className={`tag ${snag.weight === 'danger' ? '!text-danger font-bold' : ''}`}>{snag.weight}</span>
      <Link className="no-print inline-flex min-h-12 items-center px-2 underline" to={`/jobs/${snag.jobId}`}>
        job
      </Link>
    </li>
  );
}
