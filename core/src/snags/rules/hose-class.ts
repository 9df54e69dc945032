import { HOSES } from '../../stock/index.ts';
import { eachHose } from './each-hose.ts';

/** Only hose made for brakes holds their pressure and their fluid. */
export const hoseClass = eachHose('hose-class', ({ hose, stock }) => {
  if (stock.brakeClass && (stock.kind === 'feed') === (hose.service === 'feed')) return null;
  const fit = HOSES.find((one) => one.brakeClass && (one.kind === 'feed') === (hose.service === 'feed'))!;
  return {
    level: 'stop',
    text: stock.brakeClass
      ? hose.service === 'feed'
        ? `${stock.name} is pressure hose: a reservoir feeds through a wider bore.`
        : `${stock.name} is made for a reservoir's feed: brake pressure bursts it.`
      : `${stock.name} is not brake hose: it swells in the fluid and bursts at ${stock.burstMPa} MPa.`,
    mend: { label: `Take ${fit.name}`, call: { edit: 'changeHose', with: { id: hose.id, patch: { stockId: fit.id } } } },
  };
});
