import { soldSize } from '../../../lib/units/index.ts';
import type { End } from '../../join/index.ts';
import { adapterOf, type LineView, type Ref } from '../../../plan/index.ts';
import { halfWords, FLARES, type Half } from '../../../trade/stock/index.ts';
import type { Gathered, Use } from './gathered.ts';

export const onLine = ({ line }: LineView): Ref => ({ kind: 'line', id: line.id });

/** Nut, sleeve, cap and tools of one end of a line that is made here. */
function ofMadeEnd({ nuts, bench, tube }: LineView, end: End, use: Use, to: Gathered): void {
  const nut = nuts[end];
  const flare = FLARES[nut.flare].name.toLowerCase();
  const half: Half = {
    gender: 'male',
    thread: nut.thread,
    end: nut.flare === 'cone-37' ? 'cone-37' : nut.flare,
  };
  const add = (item: Parameters<Gathered['add']>[0]): void => to.add(item, 1, use);
  add({
    key: `nut:${nut.id}`,
    group: 'Nuts and sleeves',
    name: nut.name,
    half,
    words: `tube nut ${nut.thread}, right hand, for ${soldSize(tube.odMm)} tube, ${flare}, ${nut.lengthMm} mm long`,
  });
  if (nut.flare === 'cone-37')
    add({
      key: `sleeve:${tube.odMm}`,
      group: 'Nuts and sleeves',
      name: `37° sleeve for ${soldSize(tube.odMm)} tube`,
    });
  add({ key: `cap:${tube.odMm}`, group: 'Caps', name: `Cap for ${soldSize(tube.odMm)} tube end` });
  add({ key: `tool:${nut.wrench}`, group: 'Tools', name: `${nut.wrench}, flare nut` });
  if (!bench.flares[nut.flare].owned)
    add({ key: `tool:flare-${nut.flare}`, group: 'Tools', name: `Flaring tool or die, ${flare}` });
}

function addAdapter(id: string, bench: LineView['bench'], use: Use, to: Gathered): void {
  const adapter = adapterOf(bench, id);
  if (!adapter) return;
  to.add(
    {
      key: `adapter:${id}`,
      group: 'Adapters',
      name: adapter.name,
      half: adapter.halves[0]!,
      words: adapter.halves.map(halfWords).join('; '),
    },
    1,
    use,
  );
}

/** Sleeves over a line that is made here, and the bender that it wants. */
function ofMadeTube({ line, tube, bender }: LineView, use: Use, to: Gathered): void {
  const heat = line.sleeves.filter(({ kind }) => kind === 'heat').length;
  const chafe = line.sleeves.length - heat;
  const over = `over ${soldSize(tube.odMm)} tube`;
  if (heat)
    to.add(
      { key: `heat:${tube.odMm}`, group: 'Clips and screws', name: `Heat sleeve ${over}` },
      heat,
      use,
    );
  if (chafe)
    to.add(
      { key: `guard:${tube.odMm}`, group: 'Clips and screws', name: `Guard ${over}` },
      chafe,
      use,
    );
  if (Math.abs(bender.tubeOdMm - tube.odMm) > 0.1)
    to.add(
      {
        key: `tool:bender-${tube.odMm}`,
        group: 'Tools',
        name: `Bender for ${soldSize(tube.odMm)} tube`,
      },
      1,
      use,
    );
}

export function ofLine(view: LineView, to: Gathered): void {
  const { line, bench } = view;
  const use: Use = { text: line.name, place: onLine(view) };
  if (line.origin === 'bought')
    to.add(
      { key: `line:${line.id}`, group: 'Bought lines', name: `${line.name} ${line.title}`.trim() },
      1,
      use,
    );
  if (line.origin === 'made') ofMadeTube(view, use, to);
  for (const end of ['a', 'b'] as const) {
    const at: Use = { ...use, text: `${line.name}, end ${end.toUpperCase()}` };
    if (line.origin === 'made') ofMadeEnd(view, end, at, to);
    for (const id of line.ends[end].adapters) addAdapter(id, bench, at, to);
  }
}
