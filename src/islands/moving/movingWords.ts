import type { DndContextProps } from '@dnd-kit/core';

/** What is said aloud while something is moved, in the names of the things moved. */
export function movingWords(titles: Readonly<Record<string, string>>): NonNullable<DndContextProps['accessibility']> {
  const title = (id: string | number) => titles[String(id)] ?? 'it';
  const place = (id: string | number) => Object.keys(titles).indexOf(String(id)) + 1;
  const count = Object.keys(titles).length;
  return {
    screenReaderInstructions: {
      draggable: 'Press space to take it up, the arrow keys to carry it, space to put it down, Escape to let go.',
    },
    announcements: {
      onDragStart: ({ active }) => `${title(active.id)} is taken up, place ${place(active.id)} of ${count}.`,
      onDragOver: ({ active, over }) =>
        over ? `${title(active.id)} is at place ${place(over.id)} of ${count}.` : `${title(active.id)} is off the row.`,
      onDragEnd: ({ active, over }) => `${title(active.id)} is put down${over ? ` at place ${place(over.id)}` : ''}.`,
      onDragCancel: ({ active }) => `${title(active.id)} is back where it was.`,
    },
  };
}
