import {
  DndContext,
  DragOverlay,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { findFirstMinute, type RunStep } from '@sardonyx/core';
import { useState, type ReactNode } from 'react';
import { GripIcon } from '../../shared/ui/icons.ts';
import { sayStep, type Names } from './sayEvenings.ts';
import type { Evenings } from './useEvenings.ts';

interface DragStepsProps {
  readonly evenings: Evenings;
  readonly names: Names;
  readonly children: ReactNode;
}

/** A press that moves by less is no drag. */
const LEAST_PX = 6;

/** Steps are dragged onto evenings of the calendar: the plan follows, or says at the step why it cannot be there. By keyboard the menu does it. */
export function DragSteps({ evenings: { now, input, put }, names, children }: DragStepsProps) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: LEAST_PX } }));
  const [dragged, setDragged] = useState<string | null>(null);
  const drop = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    const run = now?.report.runs.find(({ on }) => on === over?.id);
    const taskId = String(active.id);
    const who = now?.report.plan.starts.find((one) => one.taskId === taskId)?.restorerId;
    // Whoever has it keeps it, where they come that evening.
    const session = run?.sessions.find(({ restorerId }) => restorerId === who) ?? run?.sessions[0];
    if (!session || !input) return;
    // It begins with the evening.
    const startsAt = findFirstMinute(session.from, input.now);
    put({ taskId, startsAt, restorerId: session.restorerId });
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={({ active }) => setDragged(String(active.id))}
      onDragCancel={() => setDragged(null)}
      onDragEnd={drop}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragged !== null && (
          <p className="w-max max-w-80 border border-ink bg-sheet px-2 py-1 text-note">{sayStep(dragged, names)}</p>
        )}
      </DragOverlay>
    </DndContext>
  );
}

/** Where a step is taken by the pointer. */
export function StepGrip({ step }: { readonly step: RunStep }) {
  const { setNodeRef, listeners } = useDraggable({ id: step.taskId });
  return (
    <span
      ref={setNodeRef}
      {...listeners}
      aria-hidden
      data-grip
      title="Drag it to another evening"
      className="inline-grid size-11 cursor-grab touch-none place-items-center align-middle"
    >
      <GripIcon size={20} />
    </span>
  );
}
