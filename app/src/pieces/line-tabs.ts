import { ListKeyManager, type ListKeyManagerOption } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
} from '@angular/core';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { hostSize } from '../kit/element-size';
import { PlanStore } from '../session/plan-store';
import { Selection } from '../session/selection';

const INKS = {
  fluid: { bar: 'bg-fluid', text: 'text-fluid' },
  copper: { bar: 'bg-copper', text: 'text-copper' },
  slate: { bar: 'bg-slate', text: 'text-slate' },
} as const;

/** A line's title stands beside its code where this much is there for both, px; else it comes on hover, and below. */
const TITLE_PX = 112;

interface Tab extends ListKeyManagerOption {
  readonly id: string;
  readonly name: string;
  readonly title: string;
  readonly chosen: boolean;
  readonly ink: (typeof INKS)[keyof typeof INKS];
  /** How wide it is beside the others. */
  readonly share: number;
  readonly hint: string;
}

/** All lines in one row, each as long as its share; one is picked. */
@Component({
  selector: 'fl-line-tabs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div
      role="radiogroup"
      aria-label="Lines"
      class="flex gap-1 overflow-x-auto border-b border-rule bg-sheet px-6 pt-1"
    >
      @for (line of lines(); track line.id) {
        <button
          type="button"
          role="radio"
          [attr.aria-checked]="line.chosen"
          [attr.tabindex]="line.chosen ? 0 : -1"
          [attr.data-line]="line.id"
          class="min-h-14 min-w-12 basis-0 rounded-md px-1 text-left"
          [style.flex-grow]="line.share"
          [title]="line.hint"
          (click)="selection.chooseLine(line.id)"
          (keydown)="walk($event)"
        >
          <span
            class="flex min-h-8 items-end text-sm leading-tight"
            [class]="line.chosen ? 'text-ink' : ''"
          >
            <span class="font-bold" [class]="line.chosen ? 'text-base' : line.ink.text">{{
              line.name
            }}</span>
            @if (line.share * pxPerShare() >= TITLE_PX) {
              <span class="ml-1 line-clamp-2 min-w-0 font-narrow font-medium text-ink-soft">{{
                line.title
              }}</span>
            }
          </span>
          <span
            class="mt-0.5 block rounded-full"
            [class]="line.ink.bar + (line.chosen ? ' h-4' : ' h-2 opacity-75')"
          ></span>
        </button>
      }
    </div>
  `,
})
export class LineTabs {
  private readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  protected readonly lines = computed((): Tab[] => {
    const view = this.store.view();
    const longest = Math.max(1, ...(view?.lines ?? []).map((v) => v.card?.developedMm ?? 0));
    return (view?.lines ?? []).map(({ line, card }) => ({
      id: line.id,
      name: line.name,
      title: line.title,
      chosen: this.selection.line()?.line.id === line.id,
      ink: INKS[view!.circuits.get(line.circuitId)!.ink],
      share: Math.max(card?.developedMm ?? 0, longest / 12),
      hint: `${line.name} ${line.title}, ${view!.circuits.get(line.circuitId)!.name}, ${card ? formatLengthUnit(card.developedMm, this.store.units()) : 'no length yet'}`,
    }));
  });

  private readonly size = hostSize({ width: 1280, height: 60 });
  protected readonly TITLE_PX = TITLE_PX;
  protected readonly pxPerShare = computed(
    () =>
      this.size().width /
      Math.max(
        1,
        this.lines().reduce((sum, { share }) => sum + share, 0),
      ),
  );

  private readonly host: HTMLElement = inject(ElementRef).nativeElement;
  private readonly keys = new ListKeyManager(this.lines, inject(Injector))
    .withHorizontalOrientation('ltr')
    .withHomeAndEnd()
    .withWrap();
  constructor() {
    this.keys.change.subscribe((index) => {
      const { id } = this.lines()[index]!;
      this.selection.chooseLine(id);
      this.host.querySelector<HTMLElement>(`[data-line="${id}"]`)?.focus();
    });
  }

  /** Arrow keys walk along the lines, as in any radio group. */
  protected walk(event: KeyboardEvent): void {
    this.keys.updateActiveItem(this.lines().findIndex(({ chosen }) => chosen));
    this.keys.onKeydown(event);
  }
}
