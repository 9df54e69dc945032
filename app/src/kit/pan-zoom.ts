import { computed, signal, type Signal } from '@angular/core';
import type { Size } from './element-size';

const LEAST = 0.4;
const MOST = 3;
const STEP = 1.25;
/** How far a pointer goes before it drags and no longer taps, px. */
const DRAG_PX = 5;

/** A drawing larger than its room: how much of it is seen, at what size. It begins as large as fits, and never too small to read. */
export class PanZoom {
  private readonly own = signal<{
    readonly scale: number;
    readonly x: number;
    readonly y: number;
  } | null>(null);
  private grip: {
    readonly x: number;
    readonly y: number;
    readonly from: { readonly x: number; readonly y: number };
  } | null = null;
  private moved = false;

  constructor(
    private readonly room: Signal<Size>,
    private readonly drawing: Signal<Size>,
    /** Under this nobody could read it. */
    private readonly readable = 1,
  ) {}

  private readonly fitted = computed(() => {
    const [room, drawing] = [this.room(), this.drawing()];
    const scale = Math.max(
      this.readable,
      Math.min(room.width / drawing.width, room.height / drawing.height, 1.4),
    );
    const middle = (has: number, wants: number): number => Math.max(0, (has - wants * scale) / 2);
    return { scale, x: middle(room.width, drawing.width), y: middle(room.height, drawing.height) };
  });
  readonly view = computed(() => this.own() ?? this.fitted());
  readonly transform = computed(
    () => `translate(${this.view().x} ${this.view().y}) scale(${this.view().scale})`,
  );

  fit(): void {
    this.own.set(null);
  }
  zoom(by: 1 | -1, at?: { readonly x: number; readonly y: number }): void {
    this.scaleTo(this.view().scale * STEP ** by, at);
  }
  private scaleTo(to: number, at = { x: this.room().width / 2, y: this.room().height / 2 }): void {
    const { scale, x, y } = this.view();
    const next = Math.min(MOST, Math.max(LEAST, to));
    const k = next / scale;
    this.own.set(this.kept({ scale: next, x: at.x - (at.x - x) * k, y: at.y - (at.y - y) * k }));
  }
  pan(dx: number, dy: number): void {
    const { scale, x, y } = this.view();
    this.own.set(this.kept({ scale, x: x + dx, y: y + dy }));
  }
  /** A corner of the drawing always stays in the room. */
  private kept<T extends { readonly scale: number; readonly x: number; readonly y: number }>(
    view: T,
  ): T {
    const [room, drawing] = [this.room(), this.drawing()];
    const inside = (at: number, has: number, wants: number): number =>
      Math.min(has - 80, Math.max(80 - wants * view.scale, at));
    return {
      ...view,
      x: inside(view.x, room.width, drawing.width),
      y: inside(view.y, room.height, drawing.height),
    };
  }

  wheel(event: WheelEvent, box: DOMRect): void {
    event.preventDefault();
    this.zoom(event.deltaY < 0 ? 1 : -1, {
      x: event.clientX - box.left,
      y: event.clientY - box.top,
    });
  }
  press({ clientX, clientY, button }: PointerEvent): void {
    this.moved = false;
    if (button === 0) this.grip = { x: clientX, y: clientY, from: this.view() };
  }
  move({ clientX, clientY }: PointerEvent): void {
    if (!this.grip) return;
    const [dx, dy] = [clientX - this.grip.x, clientY - this.grip.y];
    if (!this.moved && Math.hypot(dx, dy) < DRAG_PX) return;
    this.moved = true;
    const { from } = this.grip;
    this.own.set(this.kept({ scale: this.view().scale, x: from.x + dx, y: from.y + dy }));
  }
  release(): void {
    this.grip = null;
  }
  /** Whether the last press was a drag: what it ended over was not tapped. */
  get dragged(): boolean {
    return this.moved;
  }
}
