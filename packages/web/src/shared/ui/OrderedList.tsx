import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type Modifier,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useMemo, type ReactNode } from 'react';
import { GripIcon } from './icons.ts';

export interface OrderedItem {
  readonly id: string;
  readonly name: string;
  readonly content: ReactNode;
}

interface OrderedListProps {
  readonly label: string;
  readonly items: readonly OrderedItem[];
  /** `place`: from 0, among the items as they stand. */
  readonly onMove: (id: string, place: number) => void;
  readonly isFixed?: boolean;
}

const upAndDown: Modifier = ({ transform }) => ({ ...transform, x: 0 });
const HOW = 'Press space to take it, the arrow keys to move it, space to put it down, escape to leave it where it was.';

/** Things in an order that hands change: drag one by its grip, or take it with space and move it with the arrows. */
export function OrderedList({ label, items, onMove, isFixed = false }: OrderedListProps) {
  const sensors = useSensors(
    useSensor(PointerSensor),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = items.map(({ id }) => id);
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(String(active.id), ids.indexOf(String(over.id)));
  };
  const announcements = useMemo(() => announce(items), [items]);
  const canMove = !isFixed && items.length > 1;
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[upAndDown]}
      onDragEnd={drop}
      accessibility={{ announcements, screenReaderInstructions: { draggable: HOW } }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol aria-label={label}>
          {items.map((item) => (
            <Item key={item.id} item={item} canMove={canMove} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Item({ item, canMove }: { readonly item: OrderedItem; readonly canMove: boolean }) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: item.id,
    disabled: !canMove,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center gap-2 border-b border-hairline bg-sheet ${isDragging ? 'relative z-10 outline-2 outline-ink' : ''}`}
    >
      {canMove && (
        <button
          ref={setActivatorNodeRef}
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`Move ${item.name}`}
          className="grid size-11 shrink-0 cursor-grab touch-none place-items-center"
        >
          <GripIcon aria-hidden size={18} />
        </button>
      )}
      {item.content}
    </li>
  );
}

/** What is read out while one is moved. */
function announce(items: readonly OrderedItem[]): Announcements {
  const nameOf = (id: string | number) => items.find((item) => item.id === id)?.name ?? '';
  const placeOf = (id: string | number) => `place ${items.findIndex((item) => item.id === id) + 1} of ${items.length}`;
  return {
    onDragStart: ({ active }) => `${nameOf(active.id)} taken, ${placeOf(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${nameOf(active.id)}: ${placeOf(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) => `${nameOf(active.id)} put down${over ? `, ${placeOf(over.id)}` : ''}.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
  };
}
