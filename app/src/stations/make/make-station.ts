import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PagedStation } from '../paged-station';

/** Making lines: the card of one, cuts out of the stock, the list to buy, kits, brackets, tags. */
@Component({
  selector: 'fl-make-station',
  imports: [PagedStation],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `<fl-paged-station of="make" name="Make" />`,
})
export class MakeStation {}
