import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PagedStation } from '../paged-station';

/** Work on the floor: tasks, and the pages of what is measured and seen there. */
@Component({
  selector: 'fl-fit-station',
  imports: [PagedStation],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `<fl-paged-station of="fit" name="Fit" />`,
})
export class FitStation {}
