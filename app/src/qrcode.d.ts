/** The maker of the squares alone, without what draws them. */
declare module 'qrcode/lib/core/qrcode.js' {
  export { create } from 'qrcode';
  import type { create } from 'qrcode';
  const whole: { readonly create: typeof create };
  export default whole;
}
