import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  comesAs,
  END_FORMS,
  END_NAMES,
  SEAT_FORMS,
  SEAT_NAMES,
  threadByName,
  THREADS,
  threadTakes,
  type EndForm,
  type Gender,
  type Half,
  type SeatForm,
} from '@firm-line/core/trade/stock';

/** A half of that gender and thread; the form stays where the thread comes with it. */
export function halfWith(gender: Gender, thread: string, form: string | null): Half {
  const made = threadByName(thread)!;
  const pick = <T extends EndForm | SeatForm>(forms: readonly T[]): T =>
    forms.find((one) => one === form && threadTakes(made, one)) ??
    forms.find((one) => threadTakes(made, one))!;
  return gender === 'male'
    ? { gender, thread, end: pick(END_FORMS) }
    : { gender, thread, seat: pick(SEAT_FORMS) };
}
export const formOf = (half: Half | null): string | null =>
  half && (half.gender === 'male' ? half.end : half.seat);

let nextId = 0;

/** Thread, end or seat, and gender of one half of a joint; null while it is not known. */
@Component({
  selector: 'fl-half-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'contents' },
  template: `
    <div>
      <label class="label block" [attr.for]="id + '-thread'">Thread{{ of() }}</label>
      <select #list [id]="id + '-thread'" class="field w-full" (change)="setThread(list.value)">
        @if (!half()) {
          <option value="" selected>not known</option>
        }
        @for (name of threads(); track name) {
          <option [value]="name" [selected]="name === half()?.thread">{{ name }}</option>
        }
      </select>
    </div>
    <div>
      <label class="label block" [attr.for]="id + '-form'"
        >{{ gender() === 'male' ? 'End' : 'Seat' }}{{ of() }}</label
      >
      <select
        #list2
        [id]="id + '-form'"
        class="field w-full"
        [disabled]="!half()"
        (change)="setForm(list2.value)"
      >
        @for (form of forms(); track form.id) {
          <option [value]="form.id" [selected]="form.id === chosen()">{{ form.name }}</option>
        }
      </select>
    </div>
    <div>
      <label class="label block" [attr.for]="id + '-gender'">Half{{ of() }}</label>
      <select
        #list3
        [id]="id + '-gender'"
        class="field w-full"
        (change)="setGender(list3.value === 'male' ? 'male' : 'female')"
      >
        <option value="female" [selected]="gender() === 'female'">female, a hole</option>
        <option value="male" [selected]="gender() === 'male'">male, a stub</option>
      </select>
    </div>
  `,
})
export class HalfField {
  protected readonly id = `half-${nextId++}`;
  readonly half = input.required<Half | null>();
  /** Which half it is, where several stand together: ", one side". */
  readonly of = input('');
  readonly changed = output<Half>();
  protected readonly gender = computed((): Gender => this.half()?.gender ?? 'female');
  protected readonly chosen = computed(() => formOf(this.half()));
  protected readonly threads = computed(() =>
    THREADS.filter((t) => comesAs(t, this.gender())).map((t) => t.name),
  );
  protected readonly forms = computed((): { id: string; name: string }[] => {
    const half = this.half();
    if (!half) return [];
    const thread = threadByName(half.thread)!;
    return half.gender === 'male'
      ? END_FORMS.filter((end) => threadTakes(thread, end)).map((id) => ({
          id,
          name: END_NAMES[id],
        }))
      : SEAT_FORMS.filter((seat) => threadTakes(thread, seat)).map((id) => ({
          id,
          name: SEAT_NAMES[id],
        }));
  });

  protected setThread(thread: string): void {
    if (thread) this.changed.emit(halfWith(this.gender(), thread, this.chosen()));
  }
  protected setForm(form: string): void {
    const half = this.half();
    if (half) this.changed.emit(halfWith(half.gender, half.thread, form));
  }
  protected setGender(gender: Gender): void {
    const thread = this.half()?.thread;
    const known =
      thread && comesAs(threadByName(thread)!, gender)
        ? thread
        : THREADS.find((t) => comesAs(t, gender))!.name;
    this.changed.emit(halfWith(gender, known, null));
  }
}
