/** How often a property is tried: as often as it says, or a tenth of that in `npm run test:near`. */
export const runs = (times: number): number =>
  process.env.UMBREX_NEAR ? Math.max(1, Math.ceil(times / 10)) : times;
