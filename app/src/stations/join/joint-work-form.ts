import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { consumablesOf, guidanceFor } from '@firm-line/core/ends';
import { jointsAt } from '@firm-line/core/joints';
import type { JointWork, LineView } from '@firm-line/core/plan';
import { formatTorque, parseTorque } from '@firm-line/core/units';
import { LengthField } from '../../kit/length-field';
import { PlanStore } from '../../plan/plan-store';

/** How the joint is made and in what state it is: sealant, washers, openings, torque and by whose word. */
@Component({
  selector: 'fl-joint-work-form',
  imports: [LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h2 class="h2">The joint</h2>
    <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
      @for (row of facts(); track row.name) {
        <dt class="text-ink-soft">{{ row.name }}</dt>
        <dd>{{ row.value }}</dd>
      }
    </dl>
    <div class="mt-2 grid grid-cols-2 items-end gap-3">
      <div>
        <label class="label block" for="joint-torque">Torque, by the maker's sheet</label>
        <input id="joint-torque" class="field-mono w-full" autocomplete="off" placeholder="17 N·m" [value]="torque()" [attr.aria-invalid]="fault() ? true : null" (change)="setTorque($any($event.target))" />
      </div>
      <div>
        <label class="label block" for="joint-source">Which sheet</label>
        <input id="joint-source" class="field w-full" autocomplete="off" maxlength="200" [value]="work().torqueSource" (change)="change({ torqueSource: $any($event.target).value.trim() })" />
      </div>
      @if (work().torqueNm !== null && !work().torqueSource && !fault()) {
        <p class="col-span-2 text-sm">Write whose sheet says so: a torque without one is a guess.</p>
      }
      @if (fault(); as text) {
        <p class="fault col-span-2" role="alert">{{ text }}</p>
      }
      <div>
        <label class="label block" for="joint-washers">Washers</label>
        <select id="joint-washers" class="field w-full" (change)="change({ washers: $any($event.target).value })">
          <option value="none" [selected]="work().washers === 'none'">none set down</option>
          <option value="new" [selected]="work().washers === 'new'">new</option>
          <option value="used" [selected]="work().washers === 'used'">used before</option>
        </select>
      </div>
      <div>
        <label class="label block" for="joint-sealant">Sealant</label>
        <select id="joint-sealant" class="field w-full" (change)="change({ sealant: $any($event.target).value })">
          <option value="none" [selected]="work().sealant === 'none'">none</option>
          <option value="paste" [selected]="work().sealant === 'paste'">paste</option>
          <option value="tape" [selected]="work().sealant === 'tape'">tape</option>
        </select>
      </div>
      <div>
        <label class="label block" for="joint-made">Made as</label>
        <select id="joint-made" class="field w-full" (change)="change({ made: $any($event.target).value })">
          <option value="flared" [selected]="work().made === 'flared'">flared</option>
          <option value="compression" [selected]="work().made === 'compression'">compression</option>
          <option value="rubber-hose" [selected]="work().made === 'rubber-hose'">rubber hose and clips</option>
        </select>
      </div>
      @if (line().line.ends[end()].adapters.length) {
        <fl-length-field label="Adapters hold it off by" [valueMm]="line().line.ends[end()].standoffMm" [leastMm]="0" [mostMm]="1000" (changed)="setStandoff($event)" />
      }
      <button type="button" class="btn" (click)="change({ opened: work().opened + 1 })">It was opened{{ openedWords() }}</button>
    </div>
    <p class="mt-2 text-sm text-ink-soft">Tighten once, then wiggle every line. Use flare wrenches. The maker's sheet comes first.</p>
  `,
}) // prettier-ignore
export class JointWorkForm {
  private readonly store = inject(PlanStore);
  readonly line = input.required<LineView>();
  readonly end = input.required<'a' | 'b'>();
  protected readonly fault = signal<string | null>(null);
  protected readonly work = computed(() => this.line().line.ends[this.end()].joint);
  protected readonly torque = computed(() => {
    const { torqueNm } = this.work();
    return torqueNm === null ? '' : formatTorque(torqueNm);
  });
  protected readonly openedWords = computed(() => (this.work().opened ? ` (${this.work().opened}×)` : ''));
  protected readonly facts = computed(() => {
    const joints = jointsAt(this.line(), this.end()) ?? [];
    const counts = new Map<string, number>();
    for (const { what, count } of joints.flatMap(consumablesOf)) counts.set(what, (counts.get(what) ?? 0) + count);
    const uses = [...counts].map(([what, count]) => `${count} × ${what.toLowerCase()}`).join(', ');
    const last = joints.at(-1);
    return [
      { name: 'Nut and wrench', value: `${this.line().nuts[this.end()].name}, ${this.line().nuts[this.end()].wrench}` },
      ...(uses ? [{ name: 'New each time', value: uses }] : []),
      ...(last ? [{ name: 'Tightening', value: `${guidanceFor(last)} Common practice.` }] : []),
    ];
  });

  protected setTorque(field: HTMLInputElement): void {
    const text = field.value.trim();
    if (text === '') {
      this.fault.set(null);
      return this.change({ torqueNm: null });
    }
    if (text === this.torque()) return;
    const read = parseTorque(text);
    if (!read.ok) return this.fault.set(read.message);
    this.fault.set(null);
    this.change({ torqueNm: read.value });
    field.value = this.torque();
  }
  protected setStandoff(standoffMm: number): void {
    this.store.apply({ edit: 'changeEnd', with: { id: this.line().line.id, end: this.end(), patch: { standoffMm } } });
  }
  protected change(patch: Partial<JointWork>): void {
    this.store.apply({
      edit: 'changeEnd',
      with: { id: this.line().line.id, end: this.end(), patch: { joint: { ...this.work(), ...patch } } },
    });
  }
}
