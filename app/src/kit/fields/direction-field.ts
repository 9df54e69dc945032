import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { formatDirection, parseDirection } from '@firm-line/core/lib/units/move';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { TextInput, type Read } from './text-input';

/** A direction as people say it ("forward", "down and inboard") or as three figures. */
@Component({
  selector: 'fl-direction-field',
  imports: [TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `<fl-text-input
    [id]="field()"
    [label]="label()"
    [mono]="false"
    [shown]="shown()"
    [read]="read"
    (taken)="changed.emit($event)"
  />`,
})
export class DirectionField {
  /** Id of the line itself. */
  readonly field = input.required<string>();
  readonly label = input.required<string>();
  readonly value = input.required<Vec3>();
  /** Where it stands across the vehicle: inboard and outboard go by it. */
  readonly acrossMm = input.required<number>();
  readonly changed = output<Vec3>();
  protected readonly shown = computed(() => formatDirection(this.value()));
  protected readonly read = (text: string): Read<Vec3> => parseDirection(text, this.acrossMm());
}
