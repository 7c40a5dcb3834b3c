import { drag as say } from './words';
import { drag as d3Drag } from 'd3-drag';
import { pointer, select } from 'd3-selection';
import type { ObjectDirective } from 'vue';
import { addKeys } from './keys';

/** What a drag does: begun, moved to a place within the drawing in its own units, ended, or broken off. */
export interface Dragged {
  start?: () => void;
  move: (x: number, y: number) => void;
  end: () => void;
  cancel: () => void;
}

interface Held extends Element {
  dragged?: Dragged;
}

/**
 * `v-drag`: a part of an SVG drawing that is dragged. Moves come once a frame at most, and Escape breaks
 * the drag off.
 */
export const vDrag: ObjectDirective<Held, Dragged> = {
  mounted(node, { value }) {
    node.dragged = value;
    let frame = 0;
    let place: [number, number] | null = null;
    let live = false;
    const flush = () => {
      cancelAnimationFrame(frame);
      frame = 0;
      if (place) node.dragged?.move(...place);
      place = null;
    };
    let release = () => undefined as void;
    const stop = () => {
      live = false;
      place = null;
      cancelAnimationFrame(frame);
      frame = 0;
      node.dragged?.cancel();
    };
    select<Held, unknown>(node).call(
      d3Drag<Held, unknown>()
        .on('start', () => {
          live = true;
          release = addKeys(say.whileDragging, [
            { keys: 'Escape', does: say.breakDragOff, when: () => live, run: stop },
          ]);
          node.dragged?.start?.();
        })
        .on('drag', (event: { sourceEvent: MouseEvent }) => {
          const svg = node.closest('svg');
          if (!live || !svg) return;
          place = pointer(event.sourceEvent, svg);
          frame ||= requestAnimationFrame(flush);
        })
        .on('end', () => {
          release();
          if (!live) return;
          flush();
          live = false;
          node.dragged?.end();
        }),
    );
  },
  updated(node, { value }) {
    node.dragged = value;
  },
  beforeUnmount(node) {
    select(node).on('.drag', null);
  },
};
