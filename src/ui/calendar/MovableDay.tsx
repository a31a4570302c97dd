'use client';
import { useRef, useState, type ComponentProps } from 'react';
import {
  DndContext,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import type { PlacedVisit } from '@/core/calendar';
import { DayChart, keyOf, VisitBox, type DayChartProps } from './DayChart';

/** A visit is dropped on whole quarters of this. */
const SNAP_MIN = 5;

export type MovableDayProps = Omit<DayChartProps, 'moving' | 'Box' | 'scale'> & {
  readonly onPut: (visit: PlacedVisit, from: number) => void;
};

/** A day whose visits are dragged along it. */
export function MovableDay({ onPut, ...day }: MovableDayProps) {
  const scale = useRef(1);
  const [moving, setMoving] = useState<{ key: string; by: number } | null>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 220, tolerance: 8 } }),
  );
  const minutesBy = (pixels: number) => Math.round(pixels / scale.current / SNAP_MIN) * SNAP_MIN;
  const drop = ({ active, delta }: DragEndEvent) => {
    setMoving(null);
    swallowClick();
    const visit = day.visits.find((other) => keyOf(other) === active.id);
    const by = minutesBy(delta.x);
    if (visit && by !== 0) onPut(visit, visit.from + by);
  };
  return (
    <DndContext
      id="day-chart"
      sensors={sensors}
      onDragMove={({ active, delta }) =>
        setMoving({ key: String(active.id), by: minutesBy(delta.x) })
      }
      onDragEnd={drop}
      onDragCancel={() => setMoving(null)}
    >
      <DayChart {...day} moving={moving} Box={HeldBox} scale={scale} />
    </DndContext>
  );
}

function HeldBox(props: ComponentProps<typeof VisitBox>) {
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: keyOf(props.visit),
  });
  const { role: _role, tabIndex: _tab, ...described } = attributes;
  return (
    <VisitBox
      {...props}
      dragging={isDragging}
      hold={{ ref: setNodeRef, ...described, ...listeners }}
    />
  );
}

/** Letting go over a link is no tap on it. */
function swallowClick() {
  const swallow = (event: MouseEvent) => event.preventDefault();
  window.addEventListener('click', swallow, { capture: true, once: true });
  setTimeout(() => window.removeEventListener('click', swallow, { capture: true }), 80);
}
