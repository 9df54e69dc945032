import { HOSES } from '../../../trade/stock/index.ts';
import { defineRule } from '../../define-rule.ts';
import { quantityWords } from '../../rule-kit/places.ts';

/** Only hose made for brakes holds their pressure and their fluid. */
export const hoseClass = defineRule({
  id: 'hose-class',
  station: 'route',
  about: 'hose',
  reads: [],
  judge: ({ hose, stock }, view) => {
    if (stock.brakeClass && (stock.kind === 'feed') === (hose.service === 'feed')) return null;
    const fits = HOSES.filter(
      (one) => one.brakeClass && (one.kind === 'feed') === (hose.service === 'feed'),
    );
    return {
      level: 'stop',
      text: stock.brakeClass
        ? hose.service === 'feed'
          ? `${stock.name} is pressure hose. A reservoir feed needs a wider bore.`
          : `${stock.name} is made for a reservoir feed. Brake pressure bursts it.`
        : `${stock.name} is not brake hose. It swells in brake fluid and bursts at ${quantityWords(view).pressure(stock.burstMPa)}.`,
      fix: () =>
        fits.map(({ id, name }) => ({
          label: `Take ${name}`,
          call: { edit: 'changeHose', with: { id: hose.id, patch: { stockId: id } } },
        })),
    };
  },
});
