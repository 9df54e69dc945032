import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { freshId } from '@firm-line/core/plan';
import { halfWords, type Adapter, type Half } from '@firm-line/core/trade/stock';
import { PlanStore } from '../../session/plan-store';
import { HalfField } from './half-field';
import { Disclosure } from '../../kit/disclosure';

/** Adapters that lie in the user's own drawer; they are searched with the stock. */
@Component({
  selector: 'fl-own-adapters',
  imports: [Disclosure, HalfField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure [summary]="'Your own adapters' + (own().length ? ': ' + own().length : '')">
      <ul>
        @for (adapter of own(); track adapter.id) {
          <li class="flex items-center gap-3 border-t border-rule py-1">
            <span class="mr-auto"
              ><strong>{{ adapter.name }}</strong>
              <span class="ml-1 text-sm">{{ halves(adapter) }}</span></span
            >
            <button
              type="button"
              class="btn px-3"
              [attr.aria-label]="'Remove ' + adapter.name"
              (click)="remove(adapter.id)"
            >
              ×
            </button>
          </li>
        }
      </ul>
      <form
        class="mt-2 grid grid-cols-3 items-end gap-3"
        (submit)="$event.preventDefault(); add(name.value); name.value = ''"
      >
        <fl-half-field of=", one side" [half]="a()" (changed)="a.set($event)" />
        <fl-half-field of=", other side" [half]="b()" (changed)="b.set($event)" />
        <div class="col-span-2">
          <label class="label block" for="own-name">Name</label>
          <input #name id="own-name" class="field w-full" maxlength="80" autocomplete="off" />
        </div>
        <button type="submit" class="btn">Add adapter</button>
      </form>
      @if (fault(); as text) {
        <p class="fault" role="alert">{{ text }}</p>
      }
    </fl-disclosure>
  `,
})
export class OwnAdapters {
  private readonly store = inject(PlanStore);
  protected readonly own = computed(() => this.store.plan().bench.adapters ?? []);
  protected readonly a = signal<Half>({ gender: 'male', thread: 'M10x1', end: 'bubble' });
  protected readonly b = signal<Half>({ gender: 'male', thread: '3/8-24 UNF', end: 'cone-37' });
  protected readonly fault = signal<string | null>(null);

  protected halves(adapter: Adapter): string {
    return adapter.halves.map(halfWords).join(' to ');
  }
  protected add(name: string): void {
    const plan = this.store.plan();
    if (!name.trim()) return this.fault.set('Enter a name for the adapter.');
    this.fault.set(null);
    const made: Adapter = {
      id: freshId(plan, 'adapter'),
      name: name.trim(),
      family: 'own',
      halves: [this.a(), this.b()],
      material: 'steel',
      costMinor: 0,
    };
    this.store.apply({ edit: 'changeBench', with: { patch: { adapters: [...this.own(), made] } } });
  }
  /** One that a line uses stays. */
  protected remove(id: string): void {
    const user = this.store
      .plan()
      .lines.find(({ ends }) => [...ends.a.adapters, ...ends.b.adapters].includes(id));
    if (user) return this.fault.set(`${user.name} uses this adapter. Remove it there first.`);
    this.store.apply({
      edit: 'changeBench',
      with: { patch: { adapters: this.own().filter((adapter) => adapter.id !== id) } },
    });
  }
}
