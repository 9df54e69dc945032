import { defineRule } from '../../define-rule.ts';
import { fluidFor } from '../../../plan/index.ts';
import { fluidById } from '../../../trade/stock/index.ts';
import { sharingFluid } from '../fill/_fluid-at.ts';

/** Rubber made for glycol swells and goes soft in mineral oil, hose and seal alike. Common practice; the maker's sheet comes first. */
export const hoseFluid = defineRule({
  id: 'hose-fluid',
  station: 'route',
  about: 'hose',
  reads: ['network', 'plan.filling', 'plan.parts'],
  judge: ({ hose: { ends }, stock }, view) => {
    const meets = [ends.a.portId, ends.b.portId];
    const own = sharingFluid(view.network, view.plan.parts).find((parts) =>
      parts.some(({ ports }) => ports.some(({ id }) => meets.includes(id))),
    );
    const fluid = fluidById(fluidFor(view.plan, own ?? []))!;
    // What is no brake hose is refused whatever the fluid.
    if (!stock.brakeClass || stock.stands.includes(fluid.family)) return null;
    return {
      level: 'stop',
      text: `Its rubber swells and goes soft in ${fluid.name}. Use hose whose maker allows this fluid, such as PTFE, or another fluid.`,
    };
  },
});
