import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PagedStation } from '../paged-station';

/** Is it tight, is it air, does it stop; and the sheet that a qualified person signs. */
@Component({
  selector: 'fl-prove-station',
  imports: [PagedStation],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `<fl-paged-station of="prove" name="Prove" />`,
})
export class ProveStation {}
